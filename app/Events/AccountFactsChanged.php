<?php

declare(strict_types=1);

namespace App\Events;

use Illuminate\Foundation\Events\Dispatchable;

/** What is known of accounts changed, so that what was computed of them no longer holds. */
final class AccountFactsChanged
{
    use Dispatchable;

    /** @param  list<int>  $accounts  ids */
    public function __construct(public readonly array $accounts)
    {
    }
}
