<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\KeptList;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;

/** A list is seen by all, and changed by whoever keeps it, or a lead. */
final class KeptListPolicy extends TeamPolicy
{
    public function update(User $user, Model $record): Response
    {
        $owner = $record instanceof KeptList ? $record->user : null;

        return $owner === null || $owner->is($user) || $user->leads() ? Response::allow()
            : Response::deny("This is a list of {$owner->name}. Nothing was changed; agree with them, or ask a lead.");
    }
}
