<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\StandingsFellBehind;
use App\Jobs\RefreshStandings;

final class ComputeLater
{
    public function handle(StandingsFellBehind $event): void
    {
        dispatch(RefreshStandings::ofChanged());
    }
}
