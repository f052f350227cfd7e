<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Channels\SharedNumbers;
use App\Events\AccountFactsChanged;

/** What several people of an account give as their number is its switchboard. */
final class TellNumbersApart
{
    public function handle(AccountFactsChanged $event): void
    {
        SharedNumbers::tell($event->accounts);
    }
}
