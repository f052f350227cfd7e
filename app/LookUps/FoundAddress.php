<?php

declare(strict_types=1);

namespace App\LookUps;

/** What a service answers. */
final readonly class FoundAddress
{
    /**
     * @param  string|null  $address  null: it knows none
     * @param  float  $price  credits that it took
     */
    public function __construct(public ?string $address, public float $price)
    {
    }
}
