<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/**
 * The day by which half of what speaks for an account is gone (rule 3).
 *
 * The push is taken at noon (UTC) of each day from the day of the newest signal, for or against, to 180 days after it;
 * announced signals are left out. The day depends on the facts only and moves with nothing else.
 */
final readonly class ActBy
{
    private const DAY = 86400;

    private const NOON = 43200;

    private const HORIZON = 180;

    /** @param  list<array{KindRule, list<float|int>, list<float>}>  $groups rule, times, pushes when wholly fresh (signed) */
    private function __construct(private array $groups)
    {
    }

    /**
     * @param  array<string, Series>  $series  by kind
     * @param  float  $now  Unix seconds; only decides what is announced still
     * @return int|null days since 1970-01-01, or null: nothing speaks for it, or there is no hurry
     */
    public static function of(Catalogue $catalogue, array $series, float $now): ?int
    {
        $newest = null;
        foreach ($series as $name => $group) {
            if ($catalogue->rules[$name]->counts === Counts::Ignored) {
                continue;
            }
            for ($i = count($group->times) - 1; $i >= 0 && $group->times[$i] > $now; $i--);
            if ($i >= 0 && ($newest === null || $group->times[$i] > $newest)) {
                $newest = $group->times[$i];
            }
        }
        if ($newest === null) {
            return null;
        }
        $first = intdiv((int) floor($newest), self::DAY);
        $opens = $first * self::DAY + self::NOON;

        $groups = [];
        $drags = false;
        $rampEnds = $newest;
        foreach ($series as $name => $group) {
            $rule = $catalogue->rules[$name];
            $sign = $rule->counts->sign();
            if ($sign === 0) {
                continue;
            }
            $times = [];
            $pushes = [];
            for ($i = count($group->times) - 1; $i >= 0; $i--) {
                $at = $group->times[$i];
                if ($at > $now) {
                    continue;
                }
                if (($opens - $at) / self::DAY > $rule->spentAge) {
                    break;
                }
                $times[] = $at;
                $pushes[] = $sign * $rule->weight * $group->worth[$i] * $group->novelty($i);
                $rampEnds = max($rampEnds, $at + $rule->ramp * self::DAY);
            }
            if ($times !== []) {
                $groups[] = [$rule, $times, $pushes];
                $drags = $drags || $sign < 0;
            }
        }
        $rising = (int) ceil(($rampEnds - $opens) / self::DAY);

        return (new self($groups))->find($first, $drags ? self::HORIZON : min(self::HORIZON, max(0, $rising)));
    }

    /**
     * @param  int  $first  the first day
     * @param  int  $uneven  days after it over which the push may still rise; from there on it only falls
     */
    private function find(int $first, int $uneven): ?int
    {
        $peak = 0.0;
        $peakDay = null;
        $pushes = [];
        for ($day = 0; $day <= $uneven; $day++) {
            $pushes[$day] = $this->pushOn($first + $day);
            if ($pushes[$day] > $peak) {
                $peak = $pushes[$day];
                $peakDay = $day;
            }
        }
        if ($peakDay === null) {
            return null;
        }
        for ($day = $peakDay + 1; $day <= $uneven; $day++) {
            if ($pushes[$day] < $peak / 2) {
                return $first + $day - 1;
            }
        }
        if ($uneven === self::HORIZON || $this->pushOn($first + self::HORIZON) >= $peak / 2) {
            return null;
        }
        for ($low = $uneven, $high = self::HORIZON; $high - $low > 1;) {
            $middle = intdiv($low + $high, 2);
            if ($this->pushOn($first + $middle) < $peak / 2) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $first + $low;
    }

    private function pushOn(int $day): float
    {
        $noon = $day * self::DAY + self::NOON;
        $sum = 0.0;
        foreach ($this->groups as [$rule, $times, $pushes]) {
            $values = [];
            foreach ($times as $i => $at) {
                $age = ($noon - $at) / self::DAY;
                if ($age >= 0 && $age <= $rule->spentAge) {
                    $values[] = $pushes[$i] * $rule->freshness($age);
                }
            }
            if (! isset($values[1])) {
                $sum += $values[0] ?? 0.0;

                continue;
            }
            $rule->counts === Counts::Against ? sort($values) : rsort($values);
            $factor = 1.0;
            foreach ($values as $value) {
                $sum += $value * $factor;
                $factor /= 2;
            }
        }

        return $sum;
    }
}
