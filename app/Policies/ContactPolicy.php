<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** What cannot be undone is for leads and admins. */
final class ContactPolicy extends TeamPolicy
{
    public function erase(User $user): bool
    {
        return $user->leads();
    }
}
