<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Alert;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** Alerts are everybody's own, and nobody else's business. */
final class AlertPolicy extends TeamPolicy
{
    public function view(User $user, Model $record): bool
    {
        return $record instanceof Alert && $record->user_id === $user->id;
    }

    public function update(User $user, Model $record): bool
    {
        return $this->view($user, $record);
    }

    public function delete(User $user, Model $record): bool
    {
        return $this->view($user, $record);
    }
}
