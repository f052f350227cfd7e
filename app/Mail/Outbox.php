<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use Illuminate\Support\Facades\Mail;

/** Mails that go out if what they tell of was done, and not otherwise, whatever is interrupted. */
final class Outbox
{
    /**
     * A queue in the database is written to with the deed. Any other is told when the deed is done: from one that is
     * told before, a mail could go out of what was taken back.
     */
    public static function put(User|string $to, AlertDigest|SignInChanged|WatchDigest $mail): void
    {
        Mail::to($to)->queue(
            config('queue.default') === 'database' ? $mail->beforeCommit() : $mail->afterCommit(),
        );
    }
}
