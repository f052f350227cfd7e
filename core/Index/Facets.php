<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Closure;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;

/** What is in there: how many of those found have each value of a field, over all indexes that are asked together. */
final class Facets
{
    /**
     * The most frequent values among those found.
     *
     * @param  list<array{Index, Bitmap}>  $found
     * @param  int  $most  how many values
     * @param  Closure(string): bool|null  $only  which values are of interest
     * @return array<string, int> the most frequent first
     */
    public static function of(
        array $found,
        Field $field,
        Subject $subject,
        int $most = PHP_INT_MAX,
        ?Closure $only = null,
    ): array {
        $counts = $bounds = $spellings = $asked = [];
        foreach ($found as [$index, $result]) {
            $totals = $index->totals($field);
            $walked = $index->walked($field, array_keys($totals), $result, $subject);
            foreach ($walked ?? $totals as $spelling => $total) {
                $value = $field->spelled((string) $spelling);
                $spellings[$value] ??= (string) $spelling;
                $bounds[$value] = ($bounds[$value] ?? 0) + (is_int($total) ? $total : max($total));
                if ($walked !== null) {
                    $counts[$value] = ($counts[$value] ?? 0) + $total;
                }
            }
            if ($walked === null) {
                $asked[] = [$index, $result];
            }
        }
        arsort($bounds);
        $best = [];
        $least = 0;
        foreach ($bounds as $value => $bound) {
            // No value can have more here than it has in all.
            if (count($best) >= $most && $bound <= $least) {
                break;
            }
            $spelled = $spellings[$value];
            if ($only !== null && ! $only($spelled)) {
                continue;
            }
            $count = $counts[$value] ?? 0;
            foreach ($asked as [$index, $result]) {
                $count += $index->countOf($field, $spelled, $result, $subject);
            }
            if ($count > $least || $count > 0 && count($best) < $most) {
                $best[$spelled] = $count;
                if (count($best) >= $most) {
                    arsort($best);
                    $best = array_slice($best, 0, $most, true);
                    $least = end($best);
                }
            }
        }
        arsort($best);

        return $best;
    }
}
