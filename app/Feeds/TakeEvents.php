<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;
use App\Models\FeedRun;
use App\Models\ItemKind;
use App\Support\Together;
use Carbon\CarbonImmutable;

/** Takes in what a source posts to the webhook; what it posts twice changes nothing. */
final class TakeEvents
{
    /**
     * @param  list<mixed>  $events  as they came
     * @return array{accepted: int, known: int, refused: list<array{at: int, id: string|null, why: string}>}
     */
    public static function from(Feed $feed, ItemKind $kind, array $events): array
    {
        $found = $refused = [];
        foreach ($events as $at => $json) {
            try {
                $event = CloudEvent::from($json);
                $one = $kind === ItemKind::Event ? EventItem::signal($event) : EventItem::fact($event);
                if ($one->refused !== null) {
                    throw new Unreadable($one->refused);
                }
                $found[] = $one;
            } catch (Unreadable $e) {
                $id = is_array($json) && is_string($json['id'] ?? null) ? $json['id'] : null;
                $refused[] = ['at' => $at, 'id' => $id, 'why' => $e->getMessage()];
            }
        }
        // Counted apart and added up at the end: others post at the same time.
        $counted = Together::write(function () use ($feed, $kind, $found): FeedRun {
            $counted = new FeedRun;
            (new KeepItems($feed, $kind))->keep($found, $counted);
            // A day of posts is one run of the source.
            $run = FeedRun::query()->firstOrCreate(['feed_id' => $feed->id, 'started_at' => CarbonImmutable::today()]);
            FeedRun::query()->whereKey($run->id)
                ->incrementEach($counted->getAttributes(), ['finished_at' => CarbonImmutable::now()]);

            return $counted;
        });
        $known = (int) $counted->same;

        return ['accepted' => count($found) - $known, 'known' => $known, 'refused' => $refused];
    }
}
