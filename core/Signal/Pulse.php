<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/**
 * The push of an account as a function of time (rule 3): prepared once, then asked many times, and the act-by day found
 * on it.
 *
 * Ages, ramps and half-lives are kept in seconds, and the freshness of KindRule is written out in the loop: over a
 * hundred thousand accounts it is evaluated a hundred million times. That both agree is tested as a property.
 */
final readonly class Pulse
{
    private const DAY = 86400;

    private const NOON = 43200;

    private const HORIZON = 180;

    /** Exactly half of the peak is not under it, whatever the last binary digit says. */
    private const ROUNDING = 1e-12;

    /**
     * @param  list<array{float, float, float, float, bool, list<float|int>, list<float>}>  $groups  ramp, end of hold,
     *     half-life, age when spent, drag; times, and pushes when wholly fresh
     * @param  int|null  $first  day of the newest signal that happened, days since 1970-01-01
     * @param  float  $rampEnds  when the last ramp is over
     */
    private function __construct(private array $groups, private ?int $first, private float $rampEnds)
    {
    }

    /**
     * @param  array<string, Series>  $series  by kind
     * @param  float  $now  Unix seconds; what happens later is announced, and left out
     * @param  float  $back  also prepared for asking so many days before now
     */
    public static function of(Catalogue $catalogue, array $series, float $now, float $back = 0): self
    {
        $newest = null;
        foreach ($series as $name => $group) {
            if ($catalogue->rules[$name]->sign === 0) {
                continue;
            }
            for ($i = count($group->times) - 1; $i >= 0 && $group->times[$i] > $now; $i--);
            if ($i >= 0 && ($newest === null || $group->times[$i] > $newest)) {
                $newest = $group->times[$i];
            }
        }
        if ($newest === null) {
            return new self([], null, 0.0);
        }
        $first = intdiv((int) floor($newest), self::DAY);
        $opens = min($first * self::DAY + self::NOON, $now - $back * self::DAY);

        $groups = [];
        $rampEnds = $newest;
        foreach ($series as $name => $group) {
            $rule = $catalogue->rules[$name];
            $sign = $rule->sign;
            if ($sign === 0) {
                continue;
            }
            $spent = $rule->spentAge * self::DAY;
            $times = [];
            $pushes = [];
            for ($i = count($group->times) - 1; $i >= 0; $i--) {
                $at = $group->times[$i];
                if ($at > $now) {
                    continue;
                }
                if ($opens - $at > $spent) {
                    break;
                }
                $times[] = $at;
                $pushes[] = $rule->weight * $group->worth[$i] * $group->novelty($i);
                $rampEnds = max($rampEnds, $at + $rule->ramp * self::DAY);
            }
            if ($times !== []) {
                $groups[] = [
                    $rule->ramp * self::DAY, ($rule->ramp + $rule->hold) * self::DAY, $rule->halfLife * self::DAY,
                    $spent, $sign < 0, $times, $pushes,
                ];
            }
        }

        return new self($groups, $first, $rampEnds);
    }

    /** The push at a time (Unix seconds), not before the time it was prepared for. */
    public function at(float $time): float
    {
        [$for, $against] = $this->sides($time);

        return $for - $against;
    }

    /** Whether something that was there when it was prepared still speaks for the account at a time. */
    public function speaksAt(float $time): bool
    {
        return $this->sides($time)[0] > 0;
    }

    /**
     * The day by which half of what speaks for the account is gone. It is looked for at noon (UTC) of each day, from
     * that of the newest signal, for or against, to 180 days after it, and depends on the facts only.
     *
     * Once the last ramp is over, both sides only fall. So between two days the push is at most what speaks for it on
     * the first less what speaks against it on the second, and at least the other way round; stretches that cannot hold
     * a higher peak, or the fall, are not looked into.
     *
     * @return int|null days since 1970-01-01; null: nothing speaks for it, or there is no hurry
     */
    public function actBy(): ?int
    {
        if ($this->first === null) {
            return null;
        }
        $rising = (int) ceil(($this->rampEnds - $this->first * self::DAY - self::NOON) / self::DAY);
        $even = min(self::HORIZON, max(0, $rising));

        $days = [];
        $peak = 0.0;
        $peakDay = null;
        for ($day = 0; $day <= $even; $day++) {
            $days[$day] = $this->onDay($day);
            if ($days[$day][0] - $days[$day][1] > $peak) {
                $peak = $days[$day][0] - $days[$day][1];
                $peakDay = $day;
            }
        }
        $last = $this->onDay(self::HORIZON);
        $this->climb($even, $days[$even], self::HORIZON, $last, $peak, $peakDay);
        if ($peakDay === null) {
            return null;
        }
        $level = $peak / 2 * (1 - self::ROUNDING);
        for ($day = $peakDay + 1; $day <= $even; $day++) {
            if ($days[$day][0] - $days[$day][1] < $level) {
                return $this->first + $day - 1;
            }
        }
        $from = max($even, $peakDay);
        $fallen = $from >= self::HORIZON
            ? null
            : $this->fall($from, $days[$from] ?? $this->onDay($from), self::HORIZON, $last, $level);

        return $fallen === null ? null : $this->first + $fallen - 1;
    }

    /**
     * Finds the first highest push after one day and up to another.
     *
     * @param  array{float, float}  $atLow  what speaks for and against it on the first day
     * @param  array{float, float}  $atHigh  and on the last
     */
    private function climb(int $low, array $atLow, int $high, array $atHigh, float &$peak, ?int &$peakDay): void
    {
        if ($high <= $low || $peak >= $atLow[0] - $atHigh[1]) {
            return;
        }
        if ($high - $low === 1) {
            if ($peak < $atHigh[0] - $atHigh[1]) {
                $peak = $atHigh[0] - $atHigh[1];
                $peakDay = $high;
            }

            return;
        }
        $middle = intdiv($low + $high, 2);
        $atMiddle = $this->onDay($middle);
        $this->climb($low, $atLow, $middle, $atMiddle, $peak, $peakDay);
        $this->climb($middle, $atMiddle, $high, $atHigh, $peak, $peakDay);
    }

    /**
     * The first day after one and up to another on which the push is under a level.
     *
     * @param  array{float, float}  $atLow
     * @param  array{float, float}  $atHigh
     */
    private function fall(int $low, array $atLow, int $high, array $atHigh, float $level): ?int
    {
        if ($high <= $low || $level <= $atHigh[0] - $atLow[1]) {
            return null;
        }
        if ($high - $low === 1) {
            return $level > $atHigh[0] - $atHigh[1] ? $high : null;
        }
        $middle = intdiv($low + $high, 2);
        $atMiddle = $this->onDay($middle);

        return $this->fall($low, $atLow, $middle, $atMiddle, $level)
            ?? $this->fall($middle, $atMiddle, $high, $atHigh, $level);
    }

    /** @return array{float, float} */
    private function onDay(int $day): array
    {
        return $this->sides(((int) $this->first + $day) * self::DAY + self::NOON);
    }

    /** @return array{float, float} what speaks for the account and what against it at a time, both from 0 */
    private function sides(float $time): array
    {
        $for = $against = 0.0;
        foreach ($this->groups as [$ramp, $flat, $halfLife, $spent, $drag, $times, $pushes]) {
            $values = [];
            foreach ($times as $i => $at) {
                $age = $time - $at;
                if ($age < 0 || $age > $spent) {
                    continue;
                }
                if ($age >= $flat) {
                    $values[] = $pushes[$i] * 2 ** (($flat - $age) / $halfLife);
                } elseif ($age >= $ramp) {
                    $values[] = $pushes[$i];
                } else {
                    $values[] = $pushes[$i] * (.3 + .7 * $age / $ramp);
                }
            }
            if (isset($values[1])) {
                rsort($values);
                $sum = 0.0;
                $factor = 1.0;
                foreach ($values as $value) {
                    $sum += $value * $factor;
                    $factor *= .5;
                }
            } else {
                $sum = $values[0] ?? 0.0;
            }
            if ($drag) {
                $against += $sum;
            } else {
                $for += $sum;
            }
        }

        return [$for, $against];
    }
}
