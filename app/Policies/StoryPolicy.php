<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** Everybody tells stories; leads and admins write them. */
final class StoryPolicy
{
    public function viewAny(): bool
    {
        return true;
    }

    public function create(User $user): bool
    {
        return $user->leads();
    }

    public function update(User $user): bool
    {
        return $user->leads();
    }
}
