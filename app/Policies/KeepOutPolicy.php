<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\KeepOut;
use App\Models\User;

/** Whoever entered it, or a lead, takes an entry away. */
final class KeepOutPolicy extends TeamPolicy
{
    public function delete(User $user, KeepOut $entry): bool
    {
        return $entry->user_id === $user->id || $user->leads();
    }
}
