<?php

declare(strict_types=1);

namespace App\Events;

use Illuminate\Foundation\Events\Dispatchable;

/** The standings of all accounts were computed anew, of one offer or of all. */
final class AllStandingsStored
{
    use Dispatchable;
}
