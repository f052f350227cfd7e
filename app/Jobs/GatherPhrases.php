<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Alike\Postings;
use App\Alike\Texts;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Gathers anew what accounts say, where there are too many to compare all of them at each click. */
final class GatherPhrases implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 3600;

    public function handle(): void
    {
        if (Texts::count() > config()->integer('luftig.alike_all')) {
            Postings::build();
        }
    }
}
