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
        $entries = [];
        $pushes = [];
        $push = 0.0;
        $for = 0.0;
        foreach ($series as $name => $group) {
            $rule = $catalogue->rules[$name];
            $sign = $rule->sign;
            if ($sign === 0 && ! $history) {
                continue;
            }
            $live = [];
            $worth = [];
            for ($i = count($group->times) - 1; $i >= 0; $i--) {
                $age = ($now - $group->times[$i]) / self::DAY;
                if ($age < 0 || $age > $rule->spentAge) {
                    if ($history) {
                        $entries[] = [$group, $rule, $i, $age, $rule->freshness($age), $group->novelty($i), null];
                        $pushes[] = 0.0;
                    } elseif ($age >= 0) {
                        break;
                    }

                    continue;
                }
                $freshness = $rule->freshness($age);
                $novelty = $group->novelty($i);
                $live[] = [$group, $rule, $i, $age, $freshness, $novelty];
                $worth[] = $group->worth[$i] * $freshness * $novelty;
            }
            if (isset($worth[1])) {
                // Stable, and collected newest first: ties stay newest first.
                arsort($worth);
            }
            $factor = $sign * $rule->weight;
            $place = 0;
            foreach ($worth as $key => $value) {
                $entries[] = [...$live[$key], $place++];
                $pushes[] = $value *= $factor;
                $factor /= 2;
                $push += $value;
                if ($value > 0) {
                    $for += $value;
                }
            }
        }
        arsort($pushes);
        $signals = [];
        foreach ($pushes as $key => $value) {
            [$group, $rule, $i, $age, $freshness, $novelty, $place] = $entries[$key];
            $signals[] = new Weighed(
                $group->ids[$i],
                $rule->kind,
                $group->times[$i],
                $rule->stage($age),
                $rule->weight,
                $group->worth[$i],
                $freshness,
                $novelty,
                $place,
                $value,
                $rule->counts === Counts::Against ? null : ($value > 0 ? $value / $for : 0.0),
            );
        }

        return new self($push, $signals);
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
