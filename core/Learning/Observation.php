<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

use Luftig\Core\Priority\PointLines;
use Luftig\Core\Priority\Points;

/** An approach with its result, as the account stood when it was made. */
final readonly class Observation
{
    /**
     * @param  bool  $answered  interested, or a meeting
     * @param  float  $fit  0–1
     * @param  float  $access  0–1
     * @param  array<string, float>  $kinds  kind → Σ q·c·f·novelty·0.5^n; of drags below 0
     */
    public function __construct(
        public bool $answered,
        public float $fit,
        public float $access,
        public array $kinds,
    ) {
    }

    /**
     * What the lines are multiplied with, the intercept first.
     *
     * @param  list<string>  $kinds
     * @param  array<string, float>|null  $weights  of the kinds, where the three lines of another shape are tried too
     * @return list<float>
     */
    public function features(array $kinds, ?array $weights): array
    {
        $features = [1.0, $this->fit, $this->access];
        foreach ($kinds as $kind) {
            $features[] = $this->fit * ($this->kinds[$kind] ?? 0.0);
        }
        if ($weights !== null) {
            $whatever = 0.0;
            foreach ($this->kinds as $kind => $x) {
                $whatever += ($weights[$kind] ?? 0.0) * $x;
            }
            array_push(
                $features, 2 * max(0.0, $this->fit - .5), $this->access > PointLines::REACHABLE ? 1.0 : 0.0, $whatever,
            );
        }

        return $features;
    }

    /**
     * Points of the account (rule 6) by other lines and weights.
     *
     * @param  array<string, float>  $weights  kind → weight; one that is not named weighs nothing
     */
    public function points(PointLines $lines, array $weights): float
    {
        $push = 0.0;
        foreach ($this->kinds as $kind => $x) {
            $push += ($weights[$kind] ?? 0.0) * $x;
        }

        return Points::of($this->fit, $push, $this->access, $lines)->total();
    }
}
