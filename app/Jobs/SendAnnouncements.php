<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Exports\Announcement;
use App\Exports\MessageSignature;
use App\Feeds\Fetcher;
use App\Feeds\Unreachable;
use App\Models\EventDelivery;
use App\Support\Turn;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Tells targets what is due; who does not answer is told again, after pauses that grow, and in the end no more. */
final class SendAnnouncements implements ShouldQueue
{
    use Queueable;

    public const TYPE = 'application/cloudevents+json; charset=UTF-8';

    /** Minutes between tries. */
    private const PAUSES = [1, 5, 30, 120, 360, 1440];

    private const MOST = 200;

    private const BYTES = 100_000;

    private const SECONDS = 10;

    private const SILENT = 60;

    public int $timeout = 3600;

    public function handle(): void
    {
        $turn = Turn::take('announcements', self::SILENT);
        if ($turn === null) {
            return;
        }
        try {
            $due = EventDelivery::query()->with('target')->where('state', EventDelivery::WAITS)
                ->where('next_at', '<=', now())->whereHas(
                    'target', fn (Builder $target) => $target->where('paused', false)->whereNotNull('secret'),
                )->orderBy('next_at')->limit(self::MOST)->get();
            foreach ($due as $delivery) {
                $turn->keep();
                self::send($delivery);
            }
        } finally {
            $turn->end();
        }
    }

    private static function send(EventDelivery $delivery): void
    {
        $body = Announcement::of($delivery);
        if ($body === null) {
            $delivery->update(['state' => EventDelivery::VOID, 'next_at' => null]);

            return;
        }
        $target = $delivery->target;
        $now = CarbonImmutable::now();
        try {
            $signed = MessageSignature::of(
                $target->address, self::TYPE, $body, (string) $target->secret, $now->getTimestamp(),
            );
            (new Fetcher(self::BYTES, self::SECONDS))->send(
                $target->address, $body, ['Content-Type' => self::TYPE] + $signed,
            );
            $delivery->update(['state' => EventDelivery::SENT, 'problem' => null, 'next_at' => null]);
        } catch (Unreachable $e) {
            $pause = self::PAUSES[$delivery->tries] ?? null;
            $delivery->update([
                'tries' => $delivery->tries + 1, 'problem' => mb_strimwidth($e->getMessage(), 0, 500, '…'),
                'state' => $pause === null ? EventDelivery::FAILED : EventDelivery::WAITS,
                'next_at' => $pause === null ? null : $now->addMinutes($pause),
            ]);
        }
    }
}
