<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\AddressChanged;
use App\Events\PasswordChanged;
use App\Events\SecondFactorChanged;
use App\Mail\Outbox;
use App\Mail\SignInChanged;
use App\Models\User;
use Illuminate\Support\Facades\Auth;

/** What one signs in with was changed: one is told where one was known until then, in case it was somebody else. */
final class MailOfSignIn
{
    public function handlePassword(PasswordChanged $event): void
    {
        $this->tell($event->of, (string) $event->of->email, 'your password was changed');
    }

    public function handleFactor(SecondFactorChanged $event): void
    {
        $this->tell($event->of, (string) $event->of->email, $event->isAskedFor
            ? 'a code is asked for beside your password'
            : 'no code is asked for beside your password any more');
    }

    public function handleAddress(AddressChanged $event): void
    {
        $this->tell($event->of, $event->before, $event->of->email === null
            ? 'your sign-in was taken away' : "you sign in as {$event->of->email}");
    }

    private function tell(User $whom, string $at, string $what): void
    {
        if ($at !== '') {
            $by = Auth::user();
            Outbox::put($at, new SignInChanged(
                $whom, $what, $by?->is($whom) === true ? null : $by?->name, now()->toImmutable(),
            ));
        }
    }
}
