<?php

declare(strict_types=1);

namespace Database\Demo;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chance from a seed, so that the demo is the same wherever it is made. */
final class Dice
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function int(int $low, int $high): int
    {
        return $this->random->getInt($low, $high);
    }

    /** 0 up to 1 */
    public function part(): float
    {
        return $this->random->getInt(0, 999_999) / 1_000_000;
    }

    public function chance(float $of): bool
    {
        return $this->part() < $of;
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $from
     * @return T
     */
    public function pick(array $from): mixed
    {
        $from = array_values($from);

        return $from[$this->random->getInt(0, count($from) - 1)];
    }

    /**
     * @param  array<string, int|float>  $weights
     */
    public function weighted(array $weights): string
    {
        $at = $this->part() * array_sum($weights);
        foreach ($weights as $value => $weight) {
            if (($at -= $weight) < 0) {
                return (string) $value;
            }
        }

        return (string) array_key_last($weights);
    }

    /** Around 0, about as far as a standard deviation. */
    public function bell(): float
    {
        return sqrt(-2 * log(max(1e-9, $this->part()))) * cos(2 * M_PI * $this->part());
    }
}
