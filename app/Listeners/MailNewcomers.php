<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\NewcomersFound;
use App\Mail\Outbox;
use App\Mail\WatchDigest;
use App\View\Lists\Digest;

/** Tells whose watch it is, where they want to be told. */
final class MailNewcomers
{
    public function handle(NewcomersFound $event): void
    {
        if ($event->watch->mailed) {
            $named = array_slice($event->why, 0, Digest::NAMED, true);
            Outbox::put(
                $event->watch->user, new WatchDigest($event->watch, $named, count($event->why), $event->since),
            );
        }
    }
}
