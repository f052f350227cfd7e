<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/**
 * How alike two short texts are (Jaro 1989, Winkler 1990): 0–1, a common beginning of up to four letters counts extra.
 */
final class JaroWinkler
{
    private const PREFIX = 4;

    private const SCALE = .1;

    public static function of(string $a, string $b): float
    {
        if ($a === $b) {
            return 1.0;
        }
        $a = mb_str_split($a);
        $b = mb_str_split($b);
        $jaro = self::jaro($a, $b);
        for (
            $prefix = 0, $most = min(self::PREFIX, count($a), count($b)); $prefix < $most
            && $a[$prefix] === $b[$prefix]; $prefix++
        );

        return $jaro + $prefix * self::SCALE * (1 - $jaro);
    }

    /**
     * @param  list<string>  $a
     * @param  list<string>  $b
     */
    private static function jaro(array $a, array $b): float
    {
        if ($a === [] || $b === []) {
            return 0.0;
        }
        $window = max(0, intdiv(max(count($a), count($b)), 2) - 1);
        $matchedA = $taken = [];
        foreach ($a as $i => $letter) {
            for ($j = max(0, $i - $window), $end = min(count($b) - 1, $i + $window); $j <= $end; $j++) {
                if (! isset($taken[$j]) && $b[$j] === $letter) {
                    $taken[$j] = true;
                    $matchedA[] = $letter;
                    break;
                }
            }
        }
        $matches = count($matchedA);
        if ($matches === 0) {
            return 0.0;
        }
        ksort($taken);
        $swapped = 0;
        foreach (array_keys($taken) as $place => $j) {
            $swapped += (int) ($b[$j] !== $matchedA[$place]);
        }

        return ($matches / count($a) + $matches / count($b) + ($matches - $swapped / 2) / $matches) / 3;
    }
}
