<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password that is none of those tried first (NIST SP 800-63B, 5.1.1.2): words that very many take, with digits and
 * marks around them or written with digits for letters; rows of keys; one thing over and over; the name of the person,
 * or ours.
 */
final class UncommonPassword implements DataAwareRule, ValidationRule
{
    /** What is left of a password after all this is its own; from so many characters on it counts. */
    private const LEAST = 4;

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

    /** @var array<mixed> */
    private array $data = [];

    /** @param  array<mixed>  $data */
    public function setData(array $data): self
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && $value !== '' && $this->isCommon($value)) {
            $fail('That password is one of those that are tried first. Take some words that do not belong together.');
        }
    }

    private function isCommon(string $password): bool
    {
        $plain = mb_strtolower($password);

        return count(array_unique(mb_str_split($plain))) < 5
            || $this->rest($plain) < self::LEAST
            || $this->rest(strtr($plain, self::FOR_LETTERS)) < self::LEAST;
    }

    /** How many letters are left when common words, rows of keys and the person's own names are taken out. */
    private function rest(string $plain): int
    {
        $own = preg_split('/[^\p{L}]+/u', mb_strtolower($this->given('name').' '.$this->given('email'))) ?: [];
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

    private function given(string $field): string
    {
        return is_string($this->data[$field] ?? null) ? $this->data[$field] : '';
    }
}
