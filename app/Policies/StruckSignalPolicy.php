<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\StruckSignal;
use App\Models\User;

/** What was struck out anybody takes back. */
final class StruckSignalPolicy extends TeamPolicy
{
    public function restore(User $user, StruckSignal $struck): bool
    {
        return true;
    }
}
