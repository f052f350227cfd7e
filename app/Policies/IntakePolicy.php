<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\User;

/**
 * The team sees what files came; an address book only whoever brought it, and whose it is. A draft is its owner's, or a
 * lead's.
 */
final class IntakePolicy
{
    public function view(User $user, Intake $intake): bool
    {
        return $intake->kind !== IntakeKind::Relations
            || in_array($user->id, [$intake->user_id, $intake->whose_id], true);
    }

    public function update(User $user, Intake $intake): bool
    {
        return $this->view($user, $intake) && ($intake->user_id === $user->id || $user->leads());
    }

    /** Says nothing of what is in the file. */
    public function undo(User $user, Intake $intake): bool
    {
        return $intake->user_id === $user->id || $user->leads();
    }
}
