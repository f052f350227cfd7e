<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\Offer;
use Illuminate\Foundation\Events\Dispatchable;

/** An offer has other rules from now on. */
final readonly class RulesSaved
{
    use Dispatchable;

    public function __construct(public Offer $offer)
    {
    }
}
