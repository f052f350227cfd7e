<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

use Luftig\Core\Text\Fold;

/** Names of industries, and what the labels in people's files mean. */
final class Industries
{
    /** Four digits are ISIC's; a fifth, and a letter, are a country's own. Nothing may follow but a name. */
    private const CODE = '/^\s*(?:(?:ISIC|NACE|SNI|WZ|NAF|SIC|PKD|SBI|TOL|DB)\b\W*)?[A-U]?\s*(\d\d)(?:[. ]?(\d)(?:[. '
        .']?(\d))?)?'
        .'(?:[. ]?\d{1,2})?\s?[A-Z]?(?=$|\s*[-–:,;]\s*\p{L}|\s+\p{L}{2})/u';

    public static function name(string $code): string
    {
        for ($part = $code; strlen($part) >= 2; $part = substr($part, 0, -1)) {
            if (isset(self::names()[$part])) {
                return self::names()[$part];
            }
        }

        return $code === 'C' ? 'Manufacturing' : $code;
    }

    /**
     * A code as ISIC or a country's own edition of it writes it ("C 23.10", "2310", "23", "2573A", "62010"), or a
     * label.
     *
     * @return array{string|null, bool} the part of the tree, and whether that is sure; null where nothing comes near
     */
    public static function read(string $label): array
    {
        if (preg_match(self::CODE, $label, $digits) === 1) {
            $code = $digits[1].($digits[2] ?? '').($digits[3] ?? '');

            return isset(self::names()[$digits[1]]) ? [$code, true] : [null, false];
        }
        $words = implode(' ', Fold::words($label));
        $known = self::words()[$words] ?? null;
        if ($known !== null) {
            return [(string) $known, true];
        }
        $best = null;
        $length = 0;
        foreach (self::words() as $phrase => $code) {
            if (strlen($phrase) > $length && strlen($phrase) > 3 && str_contains(" $words", " $phrase")) {
                $best = (string) $code;
                $length = strlen($phrase);
            }
        }

        return [$best, false];
    }

    /** @return array<array-key, string> code → name */
    public static function names(): array
    {
        static $names = null;

        return $names ??= require __DIR__.'/data/industry-names.php';
    }

    /** @return array<string, int|string> folded label → code */
    private static function words(): array
    {
        static $words = null;
        if ($words === null) {
            $words = [];
            foreach (require __DIR__.'/data/industry-words.php' as $code => $labels) {
                foreach ($labels as $label) {
                    $words[$label] = $code;
                }
            }
            foreach (self::names() as $code => $name) {
                $words[implode(' ', Fold::words($name))] ??= $code;
            }
        }

        return $words;
    }
}
