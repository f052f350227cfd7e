<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Note;
use App\Models\User;

final class NotePolicy extends TeamPolicy
{
    public function delete(User $user, Note $note): bool
    {
        return $note->user_id === $user->id;
    }
}
