<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Models\User;
use Illuminate\Auth\Events\Failed;
use Illuminate\Auth\Events\Login;
use Illuminate\Auth\Events\Logout;

/**
 * Who came and went stands in the log, and who was tried in vain. What was typed does not: it may be a password in the
 * wrong field.
 */
final class RecordSignIn
{
    public function handleLogin(Login $event): void
    {
        $this->record($event->user, 'signed in');
    }

    public function handleLogout(Logout $event): void
    {
        $this->record($event->user, 'signed out');
    }

    public function handleFailed(Failed $event): void
    {
        $this->record($event->user, 'sign-in failed');
    }

    private function record(mixed $user, string $what): void
    {
        if ($user instanceof User) {
            activity()->performedOn($user)->causedBy($user)->log($what);
        }
    }
}
