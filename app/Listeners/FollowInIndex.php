<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\AllStandingsStored;
use App\Events\StandingsStored;
use App\Finder\Indexes;

/** Lets the Finder's index follow the standings: a few accounts are patched in, all together make it be built anew. */
final class FollowInIndex
{
    public function handleSome(StandingsStored $event): void
    {
        Indexes::changed($event->accounts);
    }

    public function handleAll(AllStandingsStored $event): void
    {
        Indexes::forget();
    }
}
