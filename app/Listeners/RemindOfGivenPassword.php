<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Models\User;
use Illuminate\Auth\Events\Login;

/** Whoever comes in with a password that somebody else chose is told until when it lets them in. */
final class RemindOfGivenPassword
{
    /** Days before it lets nobody in any more, it is spoken of more loudly. */
    private const SOON = 2;

    public function handle(Login $event): void
    {
        $until = $event->user instanceof User ? $event->user->password_until : null;
        if ($until !== null) {
            session()->flash(
                $until > now()->addDays(self::SOON) ? 'said' : 'warning',
                "The password you were given lets you in until {$until->format('j F')}. Choose one of your own: behind "
                    .'your initials, My pace, my password.',
            );
        }
    }
}
