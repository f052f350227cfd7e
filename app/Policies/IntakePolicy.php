<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Intake;
use App\Models\User;

/** Whoever brought a file, or a lead, takes it back. */
final class IntakePolicy
{
    public function undo(User $user, Intake $intake): bool
    {
        return $intake->user_id === $user->id || $user->leads();
    }
}
