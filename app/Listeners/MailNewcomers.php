<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\NewcomersFound;
use App\Mail\WatchDigest;
use App\View\Lists\Digest;
use Illuminate\Support\Facades\Mail;

/** Tells whose watch it is, where they want to be told. */
final class MailNewcomers
{
    public function handle(NewcomersFound $event): void
    {
        if ($event->watch->mailed) {
            $named = array_slice($event->why, 0, Digest::NAMED, true);
            $digest = new WatchDigest($event->watch, $named, count($event->why), $event->since);
            Mail::to($event->watch->user)->queue($digest->afterCommit());
        }
    }
}
