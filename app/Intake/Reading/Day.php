<?php

declare(strict_types=1);

namespace App\Intake\Reading;

use DateTimeImmutable;
use DateTimeZone;
use Luftig\Core\Text\Fold;
use Throwable;

/** A date or time as a person wrote it. */
final class Day
{
    /** Beginnings of month names in the languages of our files, folded. */
    private const MONTHS = [
        1 => 'jan|sty|tammi|led', 2 => 'feb|fev|lut|helmi|unor', 3 => 'mar|mrz|maa|brez', 4 => 'apr|avr|kwi|huhti|dub',
        5 => 'may|mai|maj|mei|tou|kvet', 6 => 'jun|juin|cze|kesa|cerven',
        7 => 'jul|juil|lip|heina', 8 => 'aug|aou|sie|elo|srp', 9 => 'sep|wrz|syys|zari', 10 => 'oct|okt|paz|loka|rij',
        11 => 'nov|lis|marras', 12 => 'dec|dez|des|gru|joulu|pros',
    ];

    /** Words before a day in the languages of our files. */
    private const BEFORE = '/^(?:since|from|as of|in|about|around|approx\.?|seit|ab|etwa|ca\.?|circa|cirka|sedan|från'
        .'|fra|siden|sinds|vanaf|od|ok\.|około|noin|vuodesta|depuis|dès|env\.?|environ|~)\s+(?:dem |the |le )?/iu';

    /**
     * ISO 8601 · 17.11.2026 · 17/11/2026 (day first, unless it cannot be) · 17 Nov 2026 · 3/2025 · 2025 · a
     * spreadsheet's day number; also after a word such as since, seit, ca.
     *
     * @param  bool  $monthFirst  whether 11/5/2026 is the 5th of November
     * @return string|null Y-m-d H:i:s in UTC; null where it is no date
     */
    public static function read(string $text, bool $monthFirst = false): ?string
    {
        $text = (string) preg_replace(self::BEFORE, '', trim($text));
        if (
            preg_match('/^\d{4}-\d\d-\d\d(?:[T ]\d\d:\d\d(?::\d\d(?:\.\d+)?)?\s*(?:Z|[+-]\d\d:?\d\d)?)?$/', $text) === 1
        ) {
            return self::exact($text);
        }
        if (
            preg_match('~^(\d{1,2})[./-]\s?(\d{1,2})[./-]\s?(\d{4}|\d\d)(?:\s+(\d{1,2}:\d\d(?::\d\d)?))?$~', $text, $p)
                === 1
        ) {
            $turned = (int) $p[2] > 12 || $monthFirst && (int) $p[1] <= 12 && ! str_contains($text, '.');
            [$day, $month] = $turned ? [(int) $p[2], (int) $p[1]] : [(int) $p[1], (int) $p[2]];

            return self::of(strlen($p[3]) === 2 ? 2000 + (int) $p[3] : (int) $p[3], $month, $day, $p[4] ?? '');
        }
        if (preg_match('~^(\d{4})[./](\d{1,2})[./](\d{1,2})$~', $text, $p) === 1) {
            return self::of((int) $p[1], (int) $p[2], (int) $p[3]);
        }
        if (
            preg_match('~^(\d{1,2})[./-](\d{4})$~', $text, $p) === 1
                || preg_match('~^(?<y>\d{4})-(?<m>\d{1,2})$~', $text, $p) === 1
        ) {
            return self::of((int) ($p['y'] ?? $p[2]), (int) ($p['m'] ?? $p[1]), 1);
        }
        if (preg_match('/^(?:19|20)\d\d$/', $text) === 1) {
            return self::of((int) $text, 1, 1);
        }
        if (preg_match('/^[34]\d{4}(?:\.\d+)?$/', $text) === 1) {
            return gmdate('Y-m-d H:i:s', (int) round(((float) $text - 25569) * 86400));
        }

        return self::inWords(Fold::letters($text));
    }

    private static function inWords(string $text): ?string
    {
        if (
            preg_match(
                '/^(?:(\d{1,2})(?:\.|st|nd|rd|th)?\s+(?:de\s+)?)?([a-z]{3,})\.?\s*(?:(\d{1,2}),\s*)?(\d{4})$/',
                $text,
                $p,
            ) !== 1
        ) {
            return null;
        }
        foreach (self::MONTHS as $month => $beginnings) {
            if (preg_match("/^(?:$beginnings)/", $p[2]) === 1) {
                return self::of((int) $p[4], $month, (int) ($p[1] ?: $p[3] ?: 1));
            }
        }

        return null;
    }

    private static function of(int $year, int $month, int $day, string $time = ''): ?string
    {
        return checkdate($month, $day, $year)
            ? self::exact(sprintf('%04d-%02d-%02d %s', $year, $month, $day, $time))
            : null;
    }

    private static function exact(string $text): ?string
    {
        try {
            $utc = new DateTimeZone('UTC');
            $time = new DateTimeImmutable($text, $utc);
            [$y, $m, $d] = array_map(intval(...), explode('-', substr($text, 0, 10)));

            return checkdate($m, $d, $y) ? $time->setTimezone($utc)->format('Y-m-d H:i:s') : null;
        } catch (Throwable) {
            return null;
        }
    }
}
