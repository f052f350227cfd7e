<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/** One thing that can be done to reach a contact. */
final readonly class NextStep
{
    /**
     * @param  float  $worth  0–1 by the channel (rule 5), times how much better or worse its kind was answered before
     * @param  bool  $isNow  it can be done at this hour
     */
    public function __construct(public Step $step, public float $worth, public bool $isNow)
    {
    }
}
