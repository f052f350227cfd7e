<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\NewcomersFound;
use App\Mail\WatchDigest;
use Illuminate\Support\Facades\Mail;

/** Tells whose watch it is, where they want to be told. */
final class MailNewcomers
{
    public function handle(NewcomersFound $event): void
    {
        if ($event->watch->mailed) {
            $digest = new WatchDigest($event->watch, $event->why, $event->since);
            Mail::to($event->watch->user)->queue($digest->afterCommit());
        }
    }
}
