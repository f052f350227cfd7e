<?php

declare(strict_types=1);

namespace App\Support;

/** A number as a person wrote it, with the words around it that are understood; any other word makes it none. */
final readonly class Figure
{
    private const MULTIPLES = [
        '%' => .01, 'prozent' => .01, 'percent' => .01, 'procent' => .01, 'prosent' => .01,
        'k' => 1e3, 'tsd' => 1e3, 't' => 1e3, 'tausend' => 1e3, 'tusen' => 1e3, 'tusind' => 1e3, 'tys' => 1e3,
        'thousand' => 1e3, 'duizend' => 1e3, 'tuhatta' => 1e3, 'mille' => 1e3, 'tis' => 1e3,
        'm' => 1e6, 'mio' => 1e6, 'mln' => 1e6, 'mn' => 1e6, 'mill' => 1e6, 'milj' => 1e6, 'million' => 1e6,
        'millions' => 1e6, 'millionen' => 1e6, 'miljoner' => 1e6, 'miljon' => 1e6, 'miljoen' => 1e6,
        'millioner' => 1e6, 'miljoonaa' => 1e6, 'milionów' => 1e6, 'miliony' => 1e6, 'mil' => 1e6,
        'mrd' => 1e9, 'bn' => 1e9, 'mld' => 1e9, 'md' => 1e9, 'billion' => 1e9, 'milliarden' => 1e9, 'milliarde' => 1e9,
        'miljarder' => 1e9, 'miljard' => 1e9, 'mia' => 1e9, 'milliards' => 1e9, 'miljardia' => 1e9,
    ];

    private const CURRENCIES = [
        '€' => 'EUR', 'euro' => 'EUR', 'euros' => 'EUR', 'euroa' => 'EUR', 'eur' => 'EUR', 'sek' => 'SEK',
        'nok' => 'NOK', 'dkk' => 'DKK', 'kr' => self::CROWNS, 'kronor' => self::CROWNS, 'kroner' => self::CROWNS,
        'zł' => 'PLN', 'zl' => 'PLN', 'pln' => 'PLN', 'złotych' => 'PLN', 'kč' => 'CZK', 'kc' => 'CZK', 'czk' => 'CZK',
        '£' => 'GBP', 'gbp' => 'GBP', '$' => 'USD', 'usd' => 'USD', 'chf' => 'CHF', 'fr' => 'CHF',
    ];

    /** Crowns of a country that is not said. */
    public const CROWNS = 'KR';

    /** T, K or M before a currency: TEUR, MSEK, Mkr. */
    private const LETTERS = ['t' => 1e3, 'k' => 1e3, 'm' => 1e6];

    private const ABOUT = [
        'ca', 'c', 'circa', 'cirka', 'etwa', 'rund', 'um', 'ungefähr', 'knapp', 'gut', 'über', 'ueber', 'bis', 'zu',
        'mehr', 'als', 'mindestens', 'about', 'approx', 'approximately', 'around', 'over', 'under', 'more', 'than',
        'up',
        'to', 'at', 'least', 'some', 'nearly', 'almost', 'omkring', 'ungefär', 'runt', 'över', 'drygt', 'minst', 'fler',
        'mer', 'än', 'enn', 'mere', 'end', 'omtrent', 'rundt', 'ongeveer', 'meer', 'dan', 'ruim', 'zo\'n', 'bijna',
        'około', 'okolo', 'ok', 'ponad', 'prawie', 'min', 'noin', 'yli', 'n', 'lähes', 'environ', 'env', 'plus', 'de',
        'près', 'moins', 'asi', 'přes', 'více', 'než', '~', '≈', '>', '≥', '<', '≤', '±',
    ];

    /** What is counted; the beginning of a word is enough. */
    private const THINGS = [
        'mitarbeit', 'beschäftigt', 'angestellt', 'person', 'köpfe', 'people', 'heads', 'employee', 'employed', 'staff',
        'anställd', 'medarbet', 'ansatt', 'medarbej', 'medarbei', 'medewerk', 'werknemer', 'personeel', 'pracowni',
        'osób', 'osoby', 'osoba', 'henkilö', 'henkeä', 'työntekij', 'salarié', 'collaborat', 'employé', 'zaměstnan',
        'töötaja', 'darbiniek', 'darbuotoj', 'standort', 'filiale', 'werk', 'betrieb', 'site', 'plant', 'location',
        'branch', 'anläggning', 'kontor', 'vestiging', 'zakład', 'toimipiste', 'établissement', 'praxen', 'jahr',
        'year',
        'år', 'jaar', 'lat',
    ];

    /** The same, as a whole word. */
    private const SHORT = [
        'ma', 'fte', 'vzä', 'vbe', 'st', 'stk', 'stück', 'szt', 'hlö', 'hlöä', 'pers', 'etp', 'p', 'a', 'pa',
    ];

    /** Behind a number of the team's own these are tonnes and metres. */
    private const UNITS = ['t', 'm'];

    /**
     * @param  string|null  $given  how it was written, where it is only approximate
     * @param  string|null  $currency  ISO 4217, where one was named; KR: crowns of a country that is not said
     */
    private function __construct(public float $value, public ?string $given, public ?string $currency = null)
    {
    }

    /** 1.250,5 · 1,2 Mio · ca. 300 · 50–100 · 500+ · 12 % (as .12); null where it is no number. */
    public static function read(string $text): ?self
    {
        return self::of($text, false);
    }

    /** The number in a fact that the team defined for itself, whose unit may be any: 45 pcs, 12 t, 300 m². */
    public static function own(string $text): ?self
    {
        return self::of((string) preg_replace('/(?<=\pL)[²³23](?!\w)/u', '', $text), true);
    }

    /** @param  bool  $isOwn  whether any word may stand beside it */
    private static function of(string $text, bool $isOwn): ?self
    {
        if (ctype_digit($text) && strlen($text) < 10) {
            return new self((float) $text, null);
        }
        $text = trim((string) preg_replace('/[\x{00A0}\x{202F}\x{2009}]/u', ' ', $text));
        // A spreadsheet's mark of text, a remark behind, and the dash for no cents.
        $plain = (string) preg_replace(["/^'/", '/\s*\([^()]*\)$/u', '/(?<=\d)[.,]\s?[-–—]+(?=\D*$)/u'], '', $text);
        $range = preg_match(
            '/^(\D*\d[\d.,\' ]*[^\d–—-]*?)\s*(?:–|—|-|\b(?:to|bis|till|tot|til|do|à|a|och|og|und)\b)\s*(\d.*)$/ui',
            $plain,
            $ends,
        ) === 1 ? self::between($ends[1], $ends[2], $isOwn) : null;
        [$value, $isAbout, $currency] = $range ?? self::single($plain, $isOwn) ?? [null, false, null];

        return $value === null ? null : new self($value, $isAbout ? mb_substr($text, 0, 40) : null, $currency);
    }

    /** @return array{float, bool, string|null}|null the middle */
    private static function between(string $low, string $high, bool $isOwn): ?array
    {
        $to = self::single($high, $isOwn);
        // 1–2 Mio: the unit behind the range holds for both ends.
        $unit = (string) preg_replace('/[\d.,\' ]+/', ' ', $high);
        $from = self::single($low.(preg_match('/\d\D*\pL/u', $low) === 1 ? '' : $unit), $isOwn);

        return $from === null || $to === null ? null : [($from[0] + $to[0]) / 2, true, $to[2] ?? $from[2]];
    }

    /** @return array{float, bool, string|null}|null value, whether about so much, currency */
    private static function single(string $text, bool $isOwn): ?array
    {
        if (preg_match('/^(\D*?)([+-]?)\s*((?:[.,]\d|\d)[\d.,\' ]*)(\D*)$/u', trim($text), $parts) !== 1) {
            return null;
        }
        $number = self::decimal(str_replace([' ', '\''], '', $parts[3]));
        $words = preg_split('/[\s.\/]+/u', mb_strtolower($parts[1].' '.$parts[4]), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $factor = 1.0;
        $currency = null;
        $isAbout = false;
        foreach ($words as $word) {
            $word = rtrim($word, ',:;');
            if ($word === '+') {
                $isAbout = true;
            } elseif (isset(self::MULTIPLES[$word]) && ! ($isOwn && in_array($word, self::UNITS, true))) {
                $factor *= self::MULTIPLES[$word];
            } elseif (isset(self::CURRENCIES[$word])) {
                $currency = self::CURRENCIES[$word];
            } elseif (isset(self::LETTERS[$word[0] ?? '']) && isset(self::CURRENCIES[substr($word, 1)])) {
                $factor *= self::LETTERS[$word[0]];
                $currency = self::CURRENCIES[substr($word, 1)];
            } elseif (in_array($word, self::ABOUT, true)) {
                $isAbout = true;
            } elseif (! $isOwn && ! self::isThing($word)) {
                return null;
            }
        }

        return $number === null ? null : [($parts[2] === '-' ? -1 : 1) * $number * $factor, $isAbout, $currency];
    }

    private static function isThing(string $word): bool
    {
        if ($word === '' || in_array($word, self::SHORT, true)) {
            return true;
        }
        foreach (self::THINGS as $thing) {
            if (str_starts_with($word, $thing)) {
                return true;
            }
        }

        return false;
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
