<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\User;
use Illuminate\Foundation\Events\Dispatchable;

/** Somebody has another password, by their own hand or by that of a lead. */
final class PasswordChanged
{
    use Dispatchable;

    public function __construct(public readonly User $of, public readonly ?User $by)
    {
    }
}
