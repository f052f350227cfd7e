<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** Leads and admins set the rules. */
final class RuleSetPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->leads();
    }

    public function create(User $user): bool
    {
        return $user->leads();
    }
}
