<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\OwnFunction;
use App\Models\User;

/** What titles mean is a rule, and so is set by leads and admins. */
final class OwnFunctionPolicy extends TeamPolicy
{
    public function create(User $user): bool
    {
        return $user->leads();
    }

    public function delete(User $user, OwnFunction $function): bool
    {
        return $user->leads();
    }
}
