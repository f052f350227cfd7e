<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\FeedRun;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Asks a feed for its first items and tells what they would become; nothing of it is kept. */
final class TryFeed
{
    private const ITEMS = 8;

    private const PAGES = 4;

    public function __construct(private readonly Fetcher $fetcher = new Fetcher)
    {
    }

    /**
     * @return list<FeedItem> each with its signals
     *
     * @throws Unreachable|Unreadable with a sentence
     */
    public function look(Feed $feed): array
    {
        $format = Formats::named($feed->format);
        if ($format instanceof Visits) {
            return $this->become($feed, array_map(
                (new VisitSite($this->fetcher, $format))->at(...),
                array_slice(SitesToVisit::of($feed), 0, self::PAGES),
            ));
        }
        $queue = [$feed->address];
        $found = [];
        for ($page = 0; $page < self::PAGES && $queue !== [] && count($found) < self::ITEMS; $page++) {
            $portion = $format->read($this->fetcher->get(array_shift($queue)), new Cursor);
            foreach ($portion->items as $item) {
                $found[] = $item;
                if (count($found) === self::ITEMS) {
                    break;
                }
            }
            array_push($queue, ...$portion->more);
        }

        return $this->become($feed, $found);
    }

    /**
     * They are taken in for a moment, and all of it is taken back.
     *
     * @param  list<Found>  $found
     * @return list<FeedItem>
     */
    private function become(Feed $feed, array $found): array
    {
        DB::beginTransaction();
        try {
            $feed->forceFill(['name' => uniqid('trial ')])->save();
            $run = FeedRun::query()
                ->create(['feed_id' => $feed->id, 'started_at' => CarbonImmutable::now()])->refresh();
            (new KeepItems($feed, Formats::named($feed->format)::kind()))->keep($found, $run);

            return array_values($feed->items()->with('signals.account', 'account')->get()->sortBy('id')->all());
        } finally {
            DB::rollBack();
        }
    }
}
