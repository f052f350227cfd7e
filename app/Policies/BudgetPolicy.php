<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** Leads and admins say what a month may take. */
final class BudgetPolicy
{
    public function create(User $user): bool
    {
        return $user->leads();
    }
}
