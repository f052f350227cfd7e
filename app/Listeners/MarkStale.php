<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\AccountFactsChanged;
use App\Standings\ChangedAccounts;
use Illuminate\Support\Facades\DB;

/** Marks accounts whose facts changed, in the transaction in which they did; whoever waits for them is told which. */
final readonly class MarkStale
{
    public function __construct(private ChangedAccounts $changed)
    {
    }

    public function handle(AccountFactsChanged $event): void
    {
        DB::table('accounts')->whereIn('id', $event->accounts)->update(['stale' => true]);
        $this->changed->add($event->accounts);
    }
}
