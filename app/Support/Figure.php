<?php

declare(strict_types=1);

namespace App\Support;

/** A number as a person wrote it. */
final readonly class Figure
{
    private const MULTIPLES = [
        '' => 1.0, '%' => .01,
        'k' => 1e3, 'tsd' => 1e3, 't' => 1e3, 'tusen' => 1e3, 'tys' => 1e3, 'thousand' => 1e3, 'tkr' => 1e3,
        'm' => 1e6, 'mio' => 1e6, 'mln' => 1e6, 'mn' => 1e6, 'mill' => 1e6, 'milj' => 1e6, 'mkr' => 1e6, 'msek' => 1e6,
        'million' => 1e6, 'millions' => 1e6,
        'millionen' => 1e6, 'miljoner' => 1e6, 'miljoen' => 1e6, 'millioner' => 1e6, 'miljoonaa' => 1e6,
        'mrd' => 1e9, 'bn' => 1e9, 'mld' => 1e9, 'md' => 1e9, 'billion' => 1e9, 'milliarden' => 1e9, 'miljarder' => 1e9,
        'miljard' => 1e9, 'mia' => 1e9,
    ];

    private const ABOUT = '/^(?:ca\.?|c\.|circa|cirka|etwa|rund|um|about|approx\.?|approximately|around|omkring|'
        .'ongeveer|okolo|ok\.|noin|env\.?|~|≈|über|over|more than|mehr als|ueber|mer än|>|≥|<|≤|up to|bis '
        .'zu|under)\s*/ui';

    private const CURRENCIES = [
        '€' => 'EUR', 'euro' => 'EUR', 'eur' => 'EUR', 'sek' => 'SEK', 'mkr' => 'SEK', 'tkr' => 'SEK', 'msek' => 'SEK',
        'nok' => 'NOK', 'dkk' => 'DKK', 'zł' => 'PLN', 'zl' => 'PLN', 'pln' => 'PLN',
        'kč' => 'CZK', 'kc' => 'CZK', 'czk' => 'CZK', '£' => 'GBP', 'gbp' => 'GBP', '$' => 'USD', 'usd' => 'USD',
        'chf' => 'CHF',
    ];

    /**
     * @param  string|null  $given  how it was written, where it is only approximate
     * @param  string|null  $currency  ISO 4217, where one was named
     */
    private function __construct(public float $value, public ?string $given, public ?string $currency = null)
    {
    }

    /** 1.250,5 · 1,2 Mio · ca. 300 · 50–100 · 500+ · 12 % (as .12); null where it is no number. */
    public static function read(string $text): ?self
    {
        if (ctype_digit($text) && strlen($text) < 10) {
            return new self((float) $text, null);
        }
        $text = trim((string) preg_replace('/[\x{00A0}\x{202F}\x{2009}]/u', ' ', $text));
        $plain = ctype_digit($text[0] ?? '') ? $text : (string) preg_replace(self::ABOUT, '', $text);
        $about = $plain !== $text;
        [$plain, $currency] = self::currency($plain);
        if (
            preg_match(
                '/^(.*\d[^\d–—-]*?)\s*(?:–|—|-|\bto\b|\bbis\b|\btill\b|\btot\b|\btil\b|\bdo\b)\s*(\d.*)$/ui',
                $plain,
                $ends,
            ) === 1
        ) {
            $high = self::single($ends[2]);
            // 1–2 Mio: the unit behind the range holds for both ends.
            $low = self::single(
                preg_match('/\pL/u', $ends[1]) === 1 ? $ends[1] : $ends[1].preg_replace('/[\d.,\' ]+/', '', $ends[2]),
            );

            return $low === null || $high === null
                ? null
                : new self(($low + $high) / 2, mb_substr($text, 0, 40), $currency);
        }
        if (str_ends_with($plain, '+')) {
            $about = true;
            $plain = rtrim($plain, '+ ');
        }
        $value = self::single($plain);

        return $value === null ? null : new self($value, $about ? mb_substr($text, 0, 40) : null, $currency);
    }

    /** @return array{string, string|null} the text without a currency, and the currency */
    private static function currency(string $text): array
    {
        if (preg_match('/[\pL€£$]/u', $text) !== 1) {
            return [$text, null];
        }
        foreach (self::CURRENCIES as $sign => $code) {
            $pattern = preg_match('/\pL/u', $sign) === 1
                ? '/(?<!\pL)'.$sign.'(?!\pL)/ui'
                : '/'.preg_quote($sign, '/').'/u';
            if (preg_match($pattern, $text) === 1) {
                return [
                    trim(
                        in_array($sign, ['mkr', 'tkr', 'msek'], true)
                            ? $text
                            : (string) preg_replace($pattern, '', $text),
                    ),
                    $code,
                ];
            }
        }

        return [$text, null];
    }

    private static function single(string $text): ?float
    {
        if (preg_match('/^([+-]?)\s*((?:[.,]\d|\d)[\d.,\' ]*)\s*(%|\pL*)\.?$/u', trim($text), $parts) !== 1) {
            return null;
        }
        $factor = self::MULTIPLES[mb_strtolower($parts[3])] ?? null;
        $number = self::decimal(str_replace([' ', '\''], '', $parts[2]));

        return $factor === null || $number === null ? null : ($parts[1] === '-' ? -1 : 1) * $number * $factor;
    }

    /**
     * Of two different separators the last is the decimal one; a single one before exactly three digits groups
     * thousands.
     */
    private static function decimal(string $digits): ?float
    {
        $digits = rtrim($digits, '.,');
        $comma = strrpos($digits, ',');
        $point = strrpos($digits, '.');
        if ($comma !== false && $point !== false) {
            $digits = $comma > $point ? str_replace(['.', ','], ['', '.'], $digits) : str_replace(',', '', $digits);
        } elseif ($comma !== false || $point !== false) {
            $separator = $comma !== false ? ',' : '.';
            $grouped = preg_match('/^[1-9]\d{0,2}(?:\\'.$separator.'\d{3})+$/', $digits) === 1;
            $digits = str_replace($separator, $grouped ? '' : '.', $digits);
        }

        return is_numeric($digits) ? (float) $digits : null;
    }
}
