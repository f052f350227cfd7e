<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** The stretch of a text for which a query matches it, as it is written. */
final class Excerpt
{
    private const SENTENCES = '/(?<=[.!?;])\s+|\n+/u';

    /** Words that are shown before and after what was looked for. */
    private const AROUND = 8;

    /**
     * The sentence that holds most of what the query looks for, with “…” where it is cut.
     *
     * @return string|null null where nothing of it stands in the text, as for a query of negatives only
     */
    public static function of(string $text, Query $query): ?string
    {
        $needles = $query->in(new Needles);
        $best = null;
        $most = 0;
        foreach (preg_split(self::SENTENCES, mb_scrub($text), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $sentence) {
            $line = Fold::line($sentence);
            $found = array_values(array_filter(
                $needles,
                static fn (string $needle): bool => str_contains($line, $needle),
            ));
            if (count($found) > $most) {
                [$best, $most] = [self::around($sentence, $found), count($found)];
            }
        }

        return $best;
    }

    /** @param  non-empty-list<string>  $needles */
    private static function around(string $sentence, array $needles): string
    {
        $words = preg_split('/\s+/u', trim($sentence)) ?: [];
        $last = count($words) - 1;
        // The first word up to which one of them stands whole.
        for ($end = 0, $read = ''; $end < $last; $end++) {
            $read .= ' '.$words[$end];
            $line = Fold::line($read);
            if (array_filter($needles, static fn (string $one): bool => str_contains($line, $one)) !== []) {
                break;
            }
        }
        $from = max(0, $end - self::AROUND);
        $to = min($last, $end + self::AROUND);

        return ($from > 0 ? '… ' : '').implode(' ', array_slice($words, $from, $to - $from + 1))
            .($to < $last ? ' …' : '');
    }
}
