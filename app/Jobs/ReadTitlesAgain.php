<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Contacts\Titles;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Every title anew, after what tells a function changed; what follows from it is computed then. */
final class ReadTitlesAgain implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $timeout = 3600;

    public function handle(): void
    {
        (new Titles)->readAllAgain();
        dispatch(RefreshStandings::ofChanged());
    }
}
