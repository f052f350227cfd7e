<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Mail;

/** Mails that go out if what they tell of was done, and not otherwise, whatever is interrupted. */
final class Outbox
{
    /** Written with the deed, wherever other work waits: another queue knows nothing of a deed that is taken back. */
    private const QUEUE = 'database';

    /** As the workers do. */
    private const TRIES = 5;

    /** Whoever has taken more stops after one. */
    private const MEGABYTES = 400;

    public static function put(User|string $to, AlertDigest|SignInChanged|WatchDigest $mail): void
    {
        Mail::to($to)->queue(
            self::isAtOnce() ? $mail->afterCommit() : $mail->onConnection(self::QUEUE)->beforeCommit(),
        );
    }

    /** What waits goes out, where no worker looks after that queue. */
    public static function send(): void
    {
        if (config('queue.default') !== self::QUEUE && ! self::isAtOnce()) {
            Artisan::call('queue:work', [
                'connection' => self::QUEUE, '--stop-when-empty' => true, '--tries' => self::TRIES,
                '--memory' => self::MEGABYTES,
            ]);
        }
    }

    private static function isAtOnce(): bool
    {
        return config('queue.default') === 'sync';
    }
}
