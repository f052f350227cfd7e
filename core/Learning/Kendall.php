<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

/** How far two rankings agree: Kendall's τ-b, ties accounted for (Kendall 1945), by sorting (Knight 1966). */
final class Kendall
{
    /**
     * @param  list<float>  $a  scores of some
     * @param  list<float>  $b  other scores of the same
     * @return float|null −1 turned round, 1 the same order; null where one of them orders nothing
     */
    public static function tau(array $a, array $b): ?float
    {
        $n = count($a);
        $order = array_keys($a);
        usort($order, static fn (int $i, int $j): int => [$a[$i], $b[$i]] <=> [$a[$j], $b[$j]]);
        $both = array_map(static fn (int $i): array => [$a[$i], $b[$i]], $order);
        $values = array_map(static fn (int $i): float => $b[$i], $order);
        $pairs = $n * ($n - 1) / 2;
        $tiedA = self::tied(array_column($both, 0));
        $tiedBoth = self::tied($both);
        $discordant = self::inversions($values);
        $tiedB = self::tied($values);
        if ($tiedA === (float) $pairs || $tiedB === (float) $pairs) {
            return null;
        }
        $concordant = $pairs - $tiedA - $tiedB + $tiedBoth - $discordant;

        return ($concordant - $discordant) / sqrt(($pairs - $tiedA) * ($pairs - $tiedB));
    }

    /**
     * Pairs of equals among what is sorted.
     *
     * @param  list<mixed>  $sorted
     */
    private static function tied(array $sorted): float
    {
        $pairs = 0.0;
        $run = 1;
        foreach ($sorted as $i => $value) {
            if ($i > 0 && $value === $sorted[$i - 1]) {
                $pairs += $run++;
            } else {
                $run = 1;
            }
        }

        return $pairs;
    }

    /**
     * Counts the pairs that stand the wrong way round, and sorts.
     *
     * @param  list<float>  $values
     */
    private static function inversions(array &$values): float
    {
        $n = count($values);
        $count = 0.0;
        for ($width = 1; $width < $n; $width *= 2) {
            $merged = [];
            for ($from = 0; $from < $n; $from += 2 * $width) {
                $middle = min($from + $width, $n);
                $end = min($from + 2 * $width, $n);
                [$i, $j] = [$from, $middle];
                while ($i < $middle || $j < $end) {
                    if ($j >= $end || $i < $middle && $values[$i] <= $values[$j]) {
                        $merged[] = $values[$i++];
                    } else {
                        $count += $middle - $i;
                        $merged[] = $values[$j++];
                    }
                }
            }
            $values = $merged;
        }

        return $count;
    }
}
