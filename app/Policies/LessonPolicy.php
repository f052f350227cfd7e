<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** Everybody may see what results speak for; leads and admins take it into the rules. */
final class LessonPolicy
{
    public function viewAny(): bool
    {
        return true;
    }

    public function create(User $user): bool
    {
        return $user->leads();
    }
}
