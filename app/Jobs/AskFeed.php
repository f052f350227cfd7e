<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Feeds\RunFeed;
use App\Models\Feed;
use App\Standings\Standings;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Asks one feed, never twice at once; what it brings is ranked right away. */
final class AskFeed implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 3600;

    /** Seconds after which a job that was lost no longer stands in the way of the next. */
    public int $uniqueFor = 300;

    public function __construct(private readonly int $feed)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->feed;
    }

    public function handle(RunFeed $feeds, Standings $standings): void
    {
        $feed = Feed::query()->find($this->feed);
        if ($feed === null || $feed->paused) {
            return;
        }
        try {
            $feeds->run($feed);
        } finally {
            $standings->refresh();
        }
    }

    /** All that are due; those that are under way are not begun anew. */
    public static function due(): void
    {
        Feed::query()->due()->pluck('id')->each(fn (int $id) => self::dispatch($id));
    }
}
