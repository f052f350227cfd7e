<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Account;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** The team decides on what is nobody's; what somebody keeps is theirs, and a lead's. */
final class AccountPolicy extends TeamPolicy
{
    public function decide(User $user, Account $account): Response
    {
        $owner = $account->owner;

        return $owner === null || $owner->is($user) || $user->leads() ? Response::allow()
            : Response::deny(
                "{$owner->name} keeps {$account->name}. Nothing was changed; agree with them, or ask a lead.",
            );
    }
}
