<?php

declare(strict_types=1);

namespace App\Listeners;

use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/** Without its database and queue the application does not run, whatever else answers. */
final class AskDatabaseAndQueue
{
    public function handle(DiagnosingHealth $event): void
    {
        DB::table('offers')->exists();
        Queue::size();
    }
}
