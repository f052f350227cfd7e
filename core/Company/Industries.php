<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

use Luftig\Core\Text\Fold;

/**
 * The industries of ISIC Rev. 4, and what the labels in people's files mean. Europe's edition (NACE Rev. 2) and the
 * national ones built on it have other classes in places; they are read as the class of ISIC that holds them.
 */
final class Industries
{
    /** Four digits are ISIC's or NACE's; a fifth, and a letter, are a country's own. Nothing may follow but a name. */
    private const CODE = '/^\s*(?:(?<edition>ISIC|NACE|SNI|WZ|NAF|SIC|PKD|SBI|TOL|DB)\b\W*)?[A-U]?\s*(?<division>\d\d)'
        .'(?:(?<part>[. ]?)(?<group>\d)(?:[. \']?(?<class>\d))?)?'
        .'(?<own>(?:[. ]?\d{1,2})?\s?[A-Z]?)(?=$|\s*[-–:,;]\s*\p{L}|\s+\p{L}{2})/u';

    /** As ISIC has it, or as the part is called that a code lies in; without the words that most names begin with. */
    public static function name(string $code): string
    {
        for ($part = strtoupper($code); $part !== ''; $part = substr($part, 0, -1)) {
            if (isset(self::names()[$part])) {
                return ucfirst((string) preg_replace(
                    ['/^(?:Manufacture|Activities) of /', '/^wood and of /'],
                    ['', 'wood and '],
                    self::names()[$part],
                ));
            }
        }

        return $code;
    }

    /** Whether this is a section, division, group or class. */
    public static function has(string $code): bool
    {
        return isset(self::names()[strtoupper($code)]);
    }

    /**
     * What can be chosen from: of parts that are called the same, the one that holds the other.
     *
     * @return array<array-key, string> code → name
     */
    public static function choices(): array
    {
        $names = self::names();

        return array_filter(
            $names,
            static fn (string $name, int|string $code): bool => ($names[substr((string) $code, 0, -1)] ?? null)
                !== $name,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * A code as ISIC or a country's own edition of it writes it ("C 23.10", "2310", "23", "2573A", "62010"), or a
     * label.
     *
     * @return array{string|null, bool} the part of the tree, and whether that is sure; null where nothing comes near
     */
    public static function read(string $label): array
    {
        if (preg_match(self::CODE, $label, $found) === 1) {
            return self::code($found);
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

    /**
     * A code that is in both editions and means two things (4661) is ISIC's where it stands bare, and Europe's where a
     * dot, a fifth digit or the edition's name says so. What neither has is the part that it would lie in, unsurely.
     *
     * @param  array<array-key, string>  $found  of CODE
     * @return array{string|null, bool}
     */
    private static function code(array $found): array
    {
        $code = $found['division'].($found['group'] ?? '').($found['class'] ?? '');
        $isOurs = $found['edition'] === 'ISIC'
            || $found['edition'] === '' && ($found['part'] ?? '') === '' && trim($found['own'] ?? '') === '';
        $read = $isOurs && self::has($code) ? $code : self::european()[$code] ?? $code;
        if (self::has((string) $read)) {
            return [(string) $read, true];
        }
        while ($code !== '' && ! self::has($code)) {
            $code = substr($code, 0, -1);
        }

        return [strlen($code) < 2 ? null : $code, false];
    }

    /** @return array<array-key, int|string> code of NACE → code of ISIC, where they differ */
    private static function european(): array
    {
        static $codes = null;
        if ($codes === null) {
            $codes = [];
            foreach (require __DIR__.'/data/nace.php' as $ours => $theirs) {
                $codes += array_fill_keys($theirs, $ours);
            }
        }

        return $codes;
    }

    /** @return array<array-key, string> code → official name: sections first, then each part before what lies in it */
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
            foreach (array_keys(self::names()) as $code) {
                $words[implode(' ', Fold::words(self::names()[$code]))] ??= $code;
                $words[implode(' ', Fold::words(self::name((string) $code)))] ??= $code;
            }
        }

        return $words;
    }
}
