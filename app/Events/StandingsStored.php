<?php

declare(strict_types=1);

namespace App\Events;

use Illuminate\Foundation\Events\Dispatchable;

/** The standings of some accounts were computed anew. */
final class StandingsStored
{
    use Dispatchable;

    /** @param  list<int>  $accounts  ids */
    public function __construct(public readonly array $accounts)
    {
    }
}
