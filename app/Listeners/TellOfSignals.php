<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\StandingsStored;
use App\Lists\TellAlerts;
use App\Models\Alert;

/** What came in is told once it is ranked, so that whoever follows it finds it counted. */
final class TellOfSignals
{
    public function handle(StandingsStored $event): void
    {
        if (Alert::query()->exists()) {
            (new TellAlerts)->of($event->accounts);
        }
    }
}
