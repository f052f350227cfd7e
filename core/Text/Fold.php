<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

use Normalizer;

/** Text as it is compared: lower case, without accents, whole words (rule 11). */
final class Fold
{
    private const LETTERS = [
        'ø' => 'o', 'đ' => 'd', 'ð' => 'd', 'ł' => 'l', 'ħ' => 'h', 'ß' => 'ss', 'æ' => 'ae', 'œ' => 'oe', 'þ' => 'th',
        'ı' => 'i', 'ŋ' => 'n',
    ];

    /** Names that keep their punctuation: .NET · C++ · C# · R&D. */
    private const WORD = '~(?<![\p{L}\p{N}])\.net(?![\p{L}\p{N}])'
        .'|(?<![\p{L}\p{N}])\p{L}(?:\+\+|#)(?![\p{L}\p{N}])'
        .'|(?<![\p{L}\p{N}])\p{L}{1,2}&\p{L}(?![\p{L}\p{N}])'
        .'|[\p{L}\p{N}]+~u';

    /** What is not seen, as a hyphen that a line could break at. */
    private const UNSEEN = '/[\x{00AD}\x{200B}-\x{200D}\x{2060}\x{FEFF}]/u';

    /** Signs of ownership; some would fold into letters. */
    private const SIGNS = ['™' => ' ', '℠' => ' ', '®' => ' ', '©' => ' '];

    /** Case and accents folded; punctuation and spaces as they were. */
    public static function letters(string $text): string
    {
        if (preg_match('/[^\x00-\x7F]/', $text) === 1) {
            $text = strtr(preg_replace(self::UNSEEN, '', mb_scrub($text)) ?? $text, self::SIGNS);
            $text = Normalizer::normalize($text, Normalizer::FORM_KD) ?: mb_scrub($text);
            $text = preg_replace('/\p{Mn}+/u', '', mb_strtolower($text)) ?? '';

            return strtr($text, self::LETTERS);
        }

        return strtolower($text);
    }

    /** @return list<string> */
    public static function words(string $text): array
    {
        preg_match_all(self::WORD, self::letters($text), $found);

        return $found[0];
    }

    /** The words with a space before, between and after, so that whole words can be looked up in it. */
    public static function line(string $text): string
    {
        return ' '.implode(' ', self::words($text)).' ';
    }
}
