<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use App\Models\Watch;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;

/** A watch is seen by all, and changed by whoever watches, or a lead. */
final class WatchPolicy extends TeamPolicy
{
    public function update(User $user, Model $record): Response
    {
        $owner = $record instanceof Watch ? $record->user : null;

        return $owner === null || $owner->is($user) || $user->leads() ? Response::allow()
            : Response::deny("{$owner->name} watches this. Nothing was changed; agree with them, or ask a lead.");
    }
}
