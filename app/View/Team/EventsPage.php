<?php

declare(strict_types=1);

namespace App\View\Team;

use App\Models\EventDelivery;
use App\Models\EventTarget;
use App\Support\Format;

/** Who is told of new reasons and results, and how far that is. */
final readonly class EventsPage
{
    /** @param  list<array{target: EventTarget, says: string, problem: string|null, failed: int}>  $targets */
    private function __construct(public array $targets)
    {
    }

    public static function of(): self
    {
        return new self(array_values(EventTarget::query()->orderBy('name')->get()->map(fn (EventTarget $one): array => [
            'target' => $one, 'says' => self::says($one), 'problem' => self::problem($one),
            'failed' => $one->deliveries()->where('state', EventDelivery::FAILED)->count(),
        ])->all()));
    }

    private static function says(EventTarget $target): string
    {
        $many = $target->deliveries()->groupBy('state')->selectRaw('state, COUNT(*) AS n')->toBase()
            ->pluck('n', 'state');
        $count = fn (string $state, string $words): ?string => isset($many[$state])
            ? Format::number((int) $many[$state])." $words" : null;

        return Format::line(
            $target->paused ? 'paused' : null,
            $count(EventDelivery::SENT, 'told'), $count(EventDelivery::WAITS, 'waiting'),
            $count(EventDelivery::FAILED, 'given up after seven tries'),
        ) ?: 'nothing to tell yet';
    }

    private static function problem(EventTarget $target): ?string
    {
        return $target->deliveries()->whereIn('state', [EventDelivery::WAITS, EventDelivery::FAILED])
            ->whereNotNull('problem')->latest('created_at')->value('problem');
    }
}
