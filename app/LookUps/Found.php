<?php

declare(strict_types=1);

namespace App\LookUps;

/** What a service answers. */
final readonly class Found
{
    /**
     * @param  string|null  $value  an address, or a figure; null: it knows none
     * @param  float  $price  credits that it took
     */
    public function __construct(public ?string $value, public float $price)
    {
    }
}
