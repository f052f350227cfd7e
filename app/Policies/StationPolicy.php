<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Station;
use App\Models\User;

final class StationPolicy extends TeamPolicy
{
    /** For oneself, and for those who do not sign in. */
    public function createFor(User $user, User $of): bool
    {
        return $of->id === $user->id || ! $of->signs_in;
    }

    public function delete(User $user, Station $station): bool
    {
        return $station->brought_by === $user->id || $station->user_id === $user->id;
    }
}
