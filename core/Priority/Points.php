<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

use Luftig\Core\Mistake;

/**
 * Points of an account and their curve (rule 6): −40 + 25·Fit·(1 + max(push, −1)) + 12·Access, or with other lines
 * where a team has set or learned them; the weights of kinds are points at 25 to a push of 1.
 */
final readonly class Points
{
    public const START = -40.0;

    public const FIT = 25.0;

    public const ACCESS = 12.0;

    /** Points in tenths are on the curve. */
    public const TENTHS = 10.0;

    private function __construct(
        public PointLines $lines,
        public float $fit,
        public float $push,
        public float $access,
        public float $aboveHalf,
        public float $reachable,
    ) {
    }

    /**
     * @param  float  $fit  0–1
     * @param  float  $push  any number; below −1 it counts as −1
     * @param  float  $access  0–1
     */
    public static function of(float $fit, float $push, float $access, PointLines $lines = new PointLines): self
    {
        foreach (['fit' => $fit, 'access' => $access] as $name => $value) {
            if ($value < 0 || $value > 1) {
                throw Mistake::at($name, ucfirst($name).' lies between 0 and 1.');
            }
        }

        return new self(
            $lines,
            $lines->fit * $fit,
            $lines->ofPush($fit, max($push, -1.0)),
            $lines->access * $access,
            $lines->aboveHalf * 2 * max(0.0, $fit - .5),
            $access > PointLines::REACHABLE ? $lines->reachable : 0.0,
        );
    }

    public function total(): float
    {
        return $this->lines->start + $this->fit + $this->push + $this->access + $this->aboveHalf + $this->reachable;
    }

    /** Priority above 0 and below 100: the logistic curve of the points in tenths. */
    public function priority(): float
    {
        return self::curve($this->total());
    }

    /**
     * The chance of an answer, as results have it (rule 20): 0–1.
     *
     * @param  float  $logOdds  of an answer at 0 points
     */
    public static function chance(float $points, float $logOdds): float
    {
        return 1 / (1 + exp(-$logOdds - $points / self::TENTHS));
    }

    public static function curve(float $points): float
    {
        return 100 / (1 + exp(-$points / self::TENTHS));
    }
}
