<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Mail\AlertDigest;
use App\Mail\Outbox;
use App\Models\AlertedSignal;
use App\Models\User;
use App\Support\Together;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Mails each rep what came in since their last digest, on working days at the hour that they chose. */
final class MailAlerts implements ShouldQueue
{
    use Queueable;

    public function handle(): void
    {
        $waiting = AlertedSignal::query()->where('by_mail', true)->whereNull('mailed_at')->distinct()->pluck('user_id');
        foreach (User::query()->whereKey($waiting)->where('signs_in', true)->whereNotNull('email')->get() as $user) {
            $there = CarbonImmutable::now($user->time_zone);
            if ($there->isWeekday() && $there->hour >= $user->digest_hour
                && ($user->digest_on === null || $user->digest_on < $there->toDateString())) {
                $this->mail($user, $there);
            }
        }
    }

    private function mail(User $user, CarbonImmutable $there): void
    {
        Together::write(function () use ($user, $there): void {
            $ids = AlertedSignal::query()->told($user)->where('by_mail', true)->whereNull('mailed_at')->pluck('id')
                ->all();
            AlertedSignal::query()->where('user_id', $user->id)->where('by_mail', true)->whereNull('mailed_at')
                ->update(['mailed_at' => now()]);
            $user->update(['digest_on' => $there->toDateString()]);
            if ($ids !== []) {
                $named = array_slice($ids, 0, AlertDigest::NAMED);
                Outbox::put($user, new AlertDigest($user, array_values($named), count($ids)));
            }
        }, $user);
    }
}
