<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Reason;
use App\Models\User;

final class ReasonPolicy extends TeamPolicy
{
    public function delete(User $user, Reason $reason): bool
    {
        return $reason->user_id === $user->id;
    }
}
