<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/**
 * What an account's signals add up to at one moment (rule 3).
 */
final readonly class Timing
{
    private const DAY = 86400;

    /** @param  list<Weighed>  $signals the strongest push first; drags last */
    private function __construct(public float $push, public array $signals)
    {
    }

    /**
     * @param  array<string, Series>  $series  by kind
     * @param  float  $now  Unix seconds
     * @param  bool  $history  also list what pushes nothing: announced, spent, and ignored kinds
     */
    public static function of(Catalogue $catalogue, array $series, float $now, bool $history = false): self
    {
        $found = [];
        $push = 0.0;
        $for = 0.0;
        foreach ($series as $name => $group) {
            $rule = $catalogue->rules[$name];
            $sign = $rule->counts->sign();
            if ($sign === 0 && ! $history) {
                continue;
            }
            $live = [];
            for ($i = count($group->times) - 1; $i >= 0; $i--) {
                $age = ($now - $group->times[$i]) / self::DAY;
                $freshness = $rule->freshness($age);
                if ($age < 0 || $age >= $rule->ramp && $freshness < KindRule::SPENT) {
                    if ($history) {
                        $found[] = [$group, $rule, $i, $age, $freshness, $group->novelty($i), null, 0.0];
                    } elseif ($age >= 0) {
                        break;
                    }

                    continue;
                }
                $live[] = [$group, $rule, $i, $age, $freshness, $group->novelty($i), null, 0.0];
            }
            if (isset($live[1])) {
                // Stable, and collected newest first: ties stay newest first.
                usort($live, static fn (array $a, array $b): int => $b[0]->worth[$b[2]] * $b[4] * $b[5] <=> $a[0]->worth[$a[2]] * $a[4] * $a[5]);
            }
            $factor = $sign * $rule->weight;
            foreach ($live as $place => $entry) {
                $entry[6] = $place;
                $entry[7] = $factor * $group->worth[$entry[2]] * $entry[4] * $entry[5];
                $factor /= 2;
                $push += $entry[7];
                $for += max(0.0, $entry[7]);
                $found[] = $entry;
            }
        }
        if (isset($found[1])) {
            usort($found, static fn (array $a, array $b): int => $b[7] <=> $a[7]);
        }

        return new self($push, array_map(static fn (array $e): Weighed => new Weighed(
            $e[0]->ids[$e[2]],
            $e[1]->kind,
            $e[0]->times[$e[2]],
            $e[1]->stage($e[3]),
            $e[1]->weight,
            $e[0]->worth[$e[2]],
            $e[4],
            $e[5],
            $e[6],
            $e[7],
            $e[1]->counts === Counts::Against ? null : ($e[7] > 0 ? $e[7] / $for : 0.0),
        ), $found));
    }

    /** Timing 0–1, for showing. */
    public function value(): float
    {
        return self::shown($this->push);
    }

    /** Timing 0–1 of a push. */
    public static function shown(float $push): float
    {
        return 1 - exp(-max($push, 0.0));
    }

    /** Whether a live signal speaks for the account; without one it is waiting (rule 6). */
    public function hasReason(): bool
    {
        return isset($this->signals[0]) && $this->signals[0]->push > 0;
    }
}
