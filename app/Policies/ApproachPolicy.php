<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Approach;
use App\Models\User;

final class ApproachPolicy
{
    public function update(User $user, Approach $approach): bool
    {
        return $approach->user_id === $user->id || $user->leads();
    }
}
