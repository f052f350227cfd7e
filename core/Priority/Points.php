<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

use Luftig\Core\Mistake;

/**
 * Points of an account and their curve (rule 6): −40 + 25·Fit·(1 + max(push, −1)) + 12·Access.
 */
final readonly class Points
{
    public const START = -40.0;

    public const FIT = 25.0;

    public const ACCESS = 12.0;

    private const SLOPE = 10.0;

    private function __construct(public float $fit, public float $push, public float $access)
    {
    }

    /**
     * @param  float  $fit  0–1
     * @param  float  $push  any number; below −1 it counts as −1
     * @param  float  $access  0–1
     */
    public static function of(float $fit, float $push, float $access): self
    {
        foreach (['fit' => $fit, 'access' => $access] as $name => $value) {
            if ($value < 0 || $value > 1) {
                throw Mistake::at($name, ucfirst($name).' lies between 0 and 1.');
            }
        }

        return new self(self::FIT * $fit, self::FIT * $fit * max($push, -1.0), self::ACCESS * $access);
    }

    public function total(): float
    {
        return self::START + $this->fit + $this->push + $this->access;
    }

    /** Priority above 0 and below 100: the logistic curve of the points in tenths. */
    public function priority(): float
    {
        return self::curve($this->total());
    }

    /** The points that one signal's push adds at a fit; negative for a drag. */
    public static function ofPush(float $fit, float $push): float
    {
        return self::FIT * $fit * $push;
    }

    public static function curve(float $points): float
    {
        return 100 / (1 + exp(-$points / self::SLOPE));
    }
}
