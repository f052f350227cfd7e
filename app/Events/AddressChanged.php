<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\User;
use Illuminate\Foundation\Events\Dispatchable;

/** Somebody signs in with another address, or not at all any more. */
final class AddressChanged
{
    use Dispatchable;

    public function __construct(public readonly User $of, public readonly string $before)
    {
    }
}
