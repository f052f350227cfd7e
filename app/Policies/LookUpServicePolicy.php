<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** Everybody sees who is asked and how well they do; leads and admins say which are, in which order. */
final class LookUpServicePolicy extends TeamPolicy
{
    public function create(User $user): bool
    {
        return $user->leads();
    }

    public function update(User $user, Model $record): bool
    {
        return $user->leads();
    }
}
