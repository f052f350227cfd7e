<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** What goes out by itself is for leads and admins to say. */
final class EventTargetPolicy extends TeamPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->leads();
    }

    public function create(User $user): bool
    {
        return $user->leads();
    }

    public function update(User $user, Model $record): bool
    {
        return $user->leads();
    }
}
