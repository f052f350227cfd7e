<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Ask;
use App\Models\User;

/** Everybody sees who was asked, so that people who introduce are spared; who asked goes on with it. */
final class AskPolicy
{
    public function viewAny(): bool
    {
        return true;
    }

    public function create(): bool
    {
        return true;
    }

    public function update(User $user, Ask $ask): bool
    {
        return $ask->user_id === $user->id || $user->leads();
    }
}
