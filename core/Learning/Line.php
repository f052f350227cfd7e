<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

/** Points of one line before and after learning, with an interval that holds the true ones 9 times of 10. */
final readonly class Line
{
    public function __construct(public float $before, public float $after, public float $low, public float $high)
    {
    }
}
