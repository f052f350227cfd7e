<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\User;

/** Leads and admins run the team; an admin is changed by admins only. */
final class UserPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->leads();
    }

    public function create(User $user): bool
    {
        return $user->leads();
    }

    public function update(User $user, User $person): bool
    {
        return $user->leads() && ($person->role !== Role::Admin || $user->role === Role::Admin);
    }
}
