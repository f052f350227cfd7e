<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\StandingOrder;
use App\Models\User;

/** Everybody orders within their own budget; whoever ordered ends it, or a lead. */
final class StandingOrderPolicy
{
    public function create(User $user): bool
    {
        return true;
    }

    public function delete(User $user, StandingOrder $order): bool
    {
        return $user->leads() || $order->user_id === $user->id;
    }
}
