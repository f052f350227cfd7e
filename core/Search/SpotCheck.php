<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

use Luftig\Core\Mistake;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** How good a list is, estimated from a judged sample (rule 13). */
final readonly class SpotCheck
{
    /** Half the width of an interval that is narrow enough. */
    private const ENOUGH = .10;

    private const DRAWN = 20;

    /**
     * @param  float  $low  precision, 0–1
     * @param  array{float, float}  $expected  how many of the list are good
     * @param  int  $more  how many more to judge until the interval is narrow enough
     */
    private function __construct(public float $low, public float $high, public array $expected, public int $more)
    {
    }

    /**
     * Wilson's interval (1927) with a finite-population correction of the sample's size.
     *
     * @param  int  $fits  of those judged
     * @param  int  $population  how long the list is
     */
    public static function of(int $fits, int $judged, int $population): self
    {
        foreach (
            [
                'fits' => [$fits, $judged],
                'judged' => [$judged, $population],
                'population' => [$population, PHP_INT_MAX],
            ] as $name => [$value, $most]
        ) {
            if ($value < 0 || $value > $most) {
                throw Mistake::at($name, 'No more can fit than were judged, and no more be judged than there are.');
            }
        }
        [$low, $high] = self::interval($judged === 0 ? null : $fits / $judged, $judged, $population);

        // Those judged are known: at least so many are good, and at least so many are not.
        $good = static fn (float $share): float => min(
            (float) ($population - $judged + $fits),
            max((float) $fits, $share * $population),
        );

        return new self(
            $low,
            $high,
            [$good($low), $good($high)],
            self::more($judged === 0 ? .5 : $fits / $judged, $judged, $population),
        );
    }

    /**
     * Positions in a ranked list, spread evenly over it and at random within each stretch; the same seed draws the
     * same.
     *
     * @return list<int> from 0, ascending
     */
    public static function draw(int $population, int $seed, int $count = self::DRAWN): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $count = min($count, $population);
        $drawn = [];
        for ($i = 0; $i < $count; $i++) {
            $drawn[] = $random->getInt(intdiv($i * $population, $count), intdiv(($i + 1) * $population, $count) - 1);
        }

        return $drawn;
    }

    /**
     * Values that several misses share and no hit has: what to exclude.
     *
     * @param  list<array<string, list<string>>>  $misses  field → values
     * @param  list<array<string, list<string>>>  $hits
     * @return list<array{field: string, value: string, misses: int}> the most shared first
     */
    public static function sharedByMisses(array $misses, array $hits): array
    {
        $count = static function (array $records): array {
            $counts = [];
            foreach ($records as $record) {
                foreach ($record as $field => $values) {
                    foreach (array_unique($values) as $value) {
                        $counts[$field][$value] = ($counts[$field][$value] ?? 0) + 1;
                    }
                }
            }

            return $counts;
        };
        $kept = $count($hits);
        $shared = [];
        foreach ($count($misses) as $field => $values) {
            foreach ($values as $value => $n) {
                if ($n > 1 && ! isset($kept[$field][$value])) {
                    $shared[] = ['field' => (string) $field, 'value' => (string) $value, 'misses' => $n];
                }
            }
        }
        usort(
            $shared,
            static fn (array $a, array $b): int => $b['misses'] <=> $a['misses']
                ?: [$a['field'], $a['value']] <=> [$b['field'], $b['value']],
        );

        return $shared;
    }

    /** @return array{float, float} */
    private static function interval(?float $p, int $judged, int $population): array
    {
        if ($p === null) {
            return [0.0, 1.0];
        }
        if ($judged === $population) {
            return [$p, $p];
        }

        return Wilson::ofShare($p, $judged * ($population - 1) / ($population - $judged));
    }

    private static function more(float $p, int $judged, int $population): int
    {
        // The interval narrows with every one that is judged.
        [$few, $many] = [max(1, $judged), $population];
        if ($population === 0) {
            return 0;
        }
        while ($few < $many) {
            $between = intdiv($few + $many, 2);
            [$low, $high] = self::interval($p, $between, $population);
            if (($high - $low) / 2 <= self::ENOUGH) {
                $many = $between;
            } else {
                $few = $between + 1;
            }
        }

        return max(0, $few - $judged);
    }
}
