<?php

declare(strict_types=1);

namespace App\Support;

/**
 * How hard a password is to guess (NIST SP 800-63B, 5.1.1.2): by how much is left of it without words that very many
 * take, with digits and marks around them or written with digits for letters; rows of keys; one thing over and over;
 * the names of the person, or ours.
 */
final readonly class PasswordStrength
{
    /** What is left of a password after all this is its own; from so many letters on it counts. */
    private const LEAST = 4;

    /** Characters that every password has. */
    public const SHORTEST = 12;

    /** From so many of its own on it is good, and strong. */
    private const GOOD = 8;

    private const STRONG = 12;

    private const WORDS = [
        'password', 'passwort', 'losenord', 'passord', 'adgangskode', 'wachtwoord', 'haslo', 'salasana', 'motdepasse',
        'passphrase', 'welcome', 'willkommen', 'valkommen', 'velkommen', 'witaj', 'tervetuloa', 'bienvenue', 'letmein',
        'trustno', 'iloveyou', 'ichliebedich', 'sunshine', 'princess', 'football', 'fussball', 'fotboll', 'baseball',
        'basketball', 'monkey', 'dragon', 'shadow', 'master', 'superman', 'batman', 'michael', 'jordan', 'jennifer',
        'charlie', 'computer', 'internet', 'whatever', 'freedom', 'starwars', 'pokemon', 'secret', 'geheim', 'hemlig',
        'hemmelig', 'changeme', 'default', 'admin', 'administrator', 'root', 'user', 'guest', 'test', 'testing', 'demo',
        'login', 'hello', 'hallo', 'summer', 'sommer', 'sommar', 'winter', 'vinter', 'spring', 'autumn', 'herbst',
        'monday', 'friday', 'sunday', 'january', 'february', 'march', 'april', 'june', 'july', 'august', 'september',
        'october', 'november', 'december', 'flower', 'cookie', 'chocolate', 'liverpool', 'chelsea', 'arsenal',
        'barcelona',
        'company', 'sales', 'access', 'qwerty', 'qwertz', 'azerty', 'luftig',
    ];

    private const KEYS = [
        '1234567890', 'qwertyuiop', 'qwertzuiop', 'azertyuiop', 'asdfghjkl', 'zxcvbnm', 'yxcvbnm',
        'abcdefghijklmnopqrstuvwxyz',
        '1qaz2wsx3edc4rfv5tgb', '1q2w3e4r5t6z7u8i9o0p', '1q2w3e4r5t6y7u8i9o0p',
    ];

    private const FOR_LETTERS = [
        '0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's',
    ];

    /** @param  int  $own  letters that are its own */
    private function __construct(private int $length, private int $own, public bool $isCommon)
    {
    }

    /** @param  string  ...$names  of the person, who would be tried with them */
    public static function of(string $password, string ...$names): self
    {
        $plain = mb_strtolower($password);
        $own = min(self::rest($plain, $names), self::rest(strtr($plain, self::FOR_LETTERS), $names));

        return new self(
            mb_strlen($password), $own, count(array_unique(mb_str_split($plain))) < 5 || $own < self::LEAST,
        );
    }

    public function says(): string
    {
        $lacking = self::SHORTEST - $this->length;

        return match (true) {
            $lacking > 0 => Format::count($lacking, 'character').' short of what is needed',
            $this->isCommon => 'one of those that are tried first',
            $this->own < self::GOOD => 'just enough',
            $this->own < self::STRONG => 'good',
            default => 'strong',
        };
    }

    /** Whether it would be taken. */
    public function isEnough(): bool
    {
        return $this->length >= self::SHORTEST && ! $this->isCommon;
    }

    /** 0–1, of what is strong. */
    public function share(): float
    {
        return min(1.0, $this->own / self::STRONG) * min(1.0, $this->length / self::SHORTEST);
    }

    /**
     * How many letters are left when common words, rows of keys and the person's own names are taken out.
     *
     * @param  array<string>  $names
     */
    private static function rest(string $plain, array $names): int
    {
        $own = preg_split('/[^\p{L}]+/u', mb_strtolower(implode(' ', $names))) ?: [];
        $words = array_filter([...self::WORDS, ...$own], fn (string $word): bool => mb_strlen($word) > 2);
        usort($words, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $rest = str_replace($words, ' ', $plain);
        foreach (self::KEYS as $row) {
            foreach ([$row, strrev($row)] as $keys) {
                for ($length = strlen($keys); $length >= 4; $length--) {
                    for ($at = 0; $at + $length <= strlen($keys); $at++) {
                        $rest = str_replace(substr($keys, $at, $length), ' ', $rest);
                    }
                }
            }
        }

        return (int) preg_match_all('/\p{L}/u', $rest);
    }
}
