<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/**
 * The team sees what files came; an address book only whoever brought it, and whose it is. A draft is its owner's, or a
 * lead's.
 */
final class IntakePolicy extends TeamPolicy
{
    public function view(User $user, Model $record): bool
    {
        return $record instanceof Intake && (
            $record->kind !== IntakeKind::Relations
            || in_array($user->id, [$record->user_id, $record->whose_id], true)
        );
    }

    public function update(User $user, Model $record): bool
    {
        return $record instanceof Intake
            && $this->view($user, $record)
            && ($record->user_id === $user->id || $user->leads());
    }

    /** Says nothing of what is in the file. */
    public function undo(User $user, Intake $intake): bool
    {
        return $intake->user_id === $user->id || $user->leads();
    }
}
