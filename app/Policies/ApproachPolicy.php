<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Approach;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

final class ApproachPolicy extends TeamPolicy
{
    public function update(User $user, Model $record): bool
    {
        return $record instanceof Approach && ($record->user_id === $user->id || $user->leads());
    }
}
