<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Decision;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Whoever decided takes it back, or a lead. */
final class DecisionPolicy
{
    public function delete(User $user, Decision $decision): Response
    {
        return $decision->user_id === $user->id || $user->leads() ? Response::allow()
            : Response::deny(
                "That is a decision of {$decision->user->name}. Nothing was changed; agree with them, or ask a lead.",
            );
    }
}
