<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** What reports are about is a rule, and so is set by leads and admins. */
final class PressClassPolicy extends TeamPolicy
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
