<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\LookUpRun;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** Everybody sees what was looked up; whoever began a run stops it and goes on with it, or a lead. */
final class LookUpRunPolicy extends TeamPolicy
{
    public function update(User $user, Model $record): bool
    {
        return $user->leads() || $record instanceof LookUpRun && $record->user_id === $user->id;
    }
}
