<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\AlertedSignal;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** Of what somebody was told is theirs alone. */
final class AlertedSignalPolicy extends TeamPolicy
{
    public function view(User $user, Model $record): bool
    {
        return $record instanceof AlertedSignal && $record->user_id === $user->id;
    }

    public function update(User $user, Model $record): bool
    {
        return $this->view($user, $record);
    }
}
