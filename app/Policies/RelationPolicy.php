<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Relation;
use App\Models\User;

final class RelationPolicy extends TeamPolicy
{
    /** Whoever brought it, and whose address book it is. */
    public function delete(User $user, Relation $relation): bool
    {
        return $relation->brought_by === $user->id || $relation->user_id === $user->id;
    }
}
