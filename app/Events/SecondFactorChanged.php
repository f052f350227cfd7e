<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\User;
use Illuminate\Foundation\Events\Dispatchable;

/** From now on somebody is asked for a code too, or is not asked any more. */
final class SecondFactorChanged
{
    use Dispatchable;

    public function __construct(public readonly User $of, public readonly bool $isAskedFor)
    {
    }
}
