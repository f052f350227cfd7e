<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Mistake;

/**
 * How one kind of signal weighs and ages (rules 1 and 2).
 *
 * weight 0–4; ramp and hold in days from 0; half-life in days above 0.
 */
final readonly class KindRule
{
    /** No kind weighs more: a push of 1 is 25 points to a fit of 1. */
    public const HEAVIEST = 4;

    /** Below this freshness a signal is spent: it pushes nothing (rule 1). */
    public const SPENT = .1;

    /** Age in days up to which the signal is fresh: one half-life after the hold, where freshness is .5. */
    public float $freshAge;

    /** Age in days up to which the signal is live. */
    public float $spentAge;

    /** 1 for, −1 against, 0 ignored. */
    public int $sign;

    public function __construct(
        public Kind $kind,
        public float $weight,
        public float $ramp,
        public float $hold,
        public float $halfLife,
        public Counts $counts = Counts::For,
    ) {
        if ($weight < 0 || $weight > self::HEAVIEST) {
            throw Mistake::at('weight', 'A weight lies between 0 and '.self::HEAVIEST.'.');
        }
        if ($ramp < 0 || $hold < 0) {
            throw Mistake::at($ramp < 0 ? 'ramp' : 'hold', 'A ramp and a hold are days, from 0 on.');
        }
        if ($halfLife <= 0) {
            throw Mistake::at('half_life', 'A half-life is a number of days above 0.');
        }
        $this->sign = $counts->sign();
        $this->freshAge = $ramp + $hold + $halfLife;
        $this->spentAge = $ramp + $hold + $halfLife * log(1 / self::SPENT, 2);
    }

    /**
     * Freshness 0–1 at an age in days (rule 1). Below 0: announced, 0.
     */
    public function freshness(float $age): float
    {
        return match (true) {
            $age < 0 => 0.0,
            $age < $this->ramp => .3 + .7 * $age / $this->ramp,
            $age < $this->ramp + $this->hold => 1.0,
            default => 2 ** (-($age - $this->ramp - $this->hold) / $this->halfLife),
        };
    }

    public function stage(float $age): Stage
    {
        if ($age < 0) {
            return Stage::Announced;
        }
        if ($age < $this->ramp) {
            return Stage::Rising;
        }

        return match (true) {
            $age <= $this->freshAge => Stage::Fresh,
            $age <= $this->spentAge => Stage::Fading,
            default => Stage::Spent,
        };
    }

    public function with(
        ?float $weight = null,
        ?float $ramp = null,
        ?float $hold = null,
        ?float $halfLife = null,
        ?Counts $counts = null,
    ): self {
        return new self(
            $this->kind,
            $weight ?? $this->weight,
            $ramp ?? $this->ramp,
            $hold ?? $this->hold,
            $halfLife ?? $this->halfLife,
            $counts ?? $this->counts,
        );
    }
}
