<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;
use App\Models\FeedRun;
use App\Models\ItemState;
use App\Support\Together;
use App\Support\Turn;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Asks a feed, page after page, and keeps what comes. What was read is kept together with how far it was read, so that
 * a run that ends early is gone on with, and nothing of it is half there.
 */
final class RunFeed
{
    private const CHUNK = 500;

    /** So many pages are visited before what they showed is kept. */
    private const VISITS = 40;

    /** A sitemap leads to as many and one more. */
    private const MOST_PAGES = 20_001;

    /** Minutes between tries after the first, second … failure. */
    private const PAUSES = [1, 2, 5, 15, 60, 240];

    /** A new run asks from a little before the last, for what a source wrote down late. */
    private const OVERLAP_HOURS = 6;

    /** Seconds without a sign after which whoever asks is taken for dead; a sign is given with each page. */
    private const SILENT = 180;

    private const PAUSED = 'Paused on the way; what came stays, and it goes on from there.';

    private ?Turn $turn = null;

    /** @var array<string, true> marks of what the run has seen, of pages that lead on */
    private array $seen = [];

    public function __construct(private readonly Fetcher $fetcher = new Fetcher)
    {
    }

    /** @return FeedRun|null  null: another is asking it */
    public function run(Feed $feed): ?FeedRun
    {
        $this->turn = Turn::take("feed {$feed->id}", self::SILENT);
        if ($this->turn === null) {
            return null;
        }
        try {
            return $this->whole($feed->refresh());
        } finally {
            $this->turn->end();
        }
    }

    private function whole(Feed $feed): FeedRun
    {
        $run = FeedRun::query()->create(['feed_id' => $feed->id, 'started_at' => CarbonImmutable::now()])->refresh();
        $cursor = Cursor::from($feed->cursor);
        $this->seen = [];
        try {
            $this->pages($feed, $cursor, $run)
                ? $this->ends($feed, $run, null, CarbonImmutable::now()->addMinutes($feed->rhythm))
                : $this->ends($feed, $run, null, CarbonImmutable::now(), self::PAUSED);
        } catch (Unreachable|Unreadable $e) {
            $pause = self::PAUSES[min($feed->failures, count(self::PAUSES) - 1)] * 60;
            $wait = max($pause, $e instanceof Unreachable ? $e->wait ?? 0 : 0);
            $this->ends($feed, $run, $e->getMessage(), CarbonImmutable::now()->addSeconds($wait));
        } catch (Throwable $e) {
            $this->ends(
                $feed, $run, 'Something went wrong on our side; what came before stays, and it is tried again.',
                CarbonImmutable::now()->addHour(),
            );
            throw $e;
        }

        return $run;
    }

    /** @return bool whether it came to its end; false: somebody paused it on the way */
    private function pages(Feed $feed, Cursor $cursor, FeedRun $run): bool
    {
        $format = Formats::named($feed->format);
        if ($format instanceof Visits) {
            return $this->visits($feed, $format, $cursor, $run);
        }
        if ($cursor->queue === []) {
            $cursor->began = CarbonImmutable::now()->toIso8601ZuluString();
            $cursor->pending = [];
            $cursor->queue = [$this->first($feed, $cursor)];
        }
        $asked = [];
        while ($cursor->queue !== []) {
            $address = $cursor->queue[0];
            $isFirst = $address === $this->first($feed, $cursor);
            if (isset($asked[$address]) || count($asked) >= self::MOST_PAGES) {
                throw new Unreadable(isset($asked[$address])
                    ? 'Its pages lead round in a circle; what came before stays.'
                    : 'It has more pages than anybody can read; what came before stays.');
            }
            $asked[$address] = true;
            $this->turn?->keep();
            $answer = $this->fetcher->get($address, $isFirst ? $cursor->conditions : []);
            array_shift($cursor->queue);
            if (! $answer->isUnchanged) {
                $portion = $format->read($answer, $cursor);
                if ($isFirst) {
                    $cursor->pending = array_filter(array_intersect_key(
                        $answer->headers, ['etag' => 1, 'last-modified' => 1],
                    ));
                }
                $many = count($this->seen);
                $this->keep($feed, $portion, $run);
                // A page that shows only what this run has seen goes on without an end.
                $goesOn = $portion->alive !== null || count($this->seen) > $many;
                $more = $goesOn ? $this->wanted($feed, $portion, $cursor) : [];
                $cursor->queue = array_values(array_unique([...$cursor->queue, ...$more]));
            }
            if ($cursor->queue === []) {
                $cursor->conditions = $cursor->pending ?: $cursor->conditions;
                $cursor->since = CarbonImmutable::parse((string) $cursor->began)->subHours(self::OVERLAP_HOURS)
                    ->toIso8601ZuluString();
                $cursor->began = null;
            }
            $feed->update(['cursor' => $cursor->stored()]);
            $run->save();
            if ($cursor->queue !== [] && self::isPaused($feed)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Page after page of accounts, some at a time; one that is not there is a visit too.
     *
     * @return bool as of pages()
     */
    private function visits(Feed $feed, Visits $format, Cursor $cursor, FeedRun $run): bool
    {
        $keep = new KeepItems($feed, $format::kind());
        $visit = new VisitSite($this->fetcher, $format);
        $cursor->queue = $cursor->queue ?: SitesToVisit::of($feed);
        while ($cursor->queue !== []) {
            $found = [];
            foreach (array_slice($cursor->queue, 0, self::VISITS) as $address) {
                $this->turn?->keep();
                $found[] = $visit->at($address);
            }
            $this->store($keep, $found, $run);
            $cursor->queue = array_slice($cursor->queue, self::VISITS);
            $feed->update(['cursor' => $cursor->stored()]);
            if ($cursor->queue !== [] && self::isPaused($feed)) {
                return false;
            }
        }

        return true;
    }

    private static function isPaused(Feed $feed): bool
    {
        return Feed::query()->whereKey($feed->id)->where('paused', true)->exists();
    }

    /** @return list<string> addresses to go on with, without those of items that are known as they are */
    private function wanted(Feed $feed, Portion $portion, Cursor $cursor): array
    {
        $old = array_keys(array_filter(
            $portion->changed,
            fn (string $changed): bool => $cursor->since !== null && $changed < $cursor->since,
        ));
        $known = [];
        foreach (array_chunk($old, self::CHUNK) as $some) {
            $known += DB::table('feed_items')->where('feed_id', $feed->id)
                ->whereIn('mark', array_map(sha1(...), $some))->where('state', '<>', ItemState::Refused->value)
                ->whereNull('gone_at')->pluck('id', 'mark')->all();
        }
        $skipped = array_filter($old, fn (string $address): bool => isset($known[sha1($address)]));

        return array_values(array_diff($portion->more, $skipped));
    }

    private function keep(Feed $feed, Portion $portion, FeedRun $run): void
    {
        $keep = new KeepItems($feed, Formats::named($feed->format)::kind());
        $some = [];
        foreach ($portion->items as $item) {
            $some[] = $item;
            if ($portion->more !== []) {
                $this->seen[hash('xxh3', $item->id)] = true;
            }
            if (count($some) === self::CHUNK) {
                $this->store($keep, $some, $run);
                $some = [];
            }
        }
        $this->store($keep, $some, $run);
        if ($portion->alive !== null) {
            Together::write(fn () => $keep->close($portion->alive, $run));
        }
    }

    /** @param  list<Found>  $some */
    private function store(KeepItems $keep, array $some, FeedRun $run): void
    {
        $counts = $run->getAttributes();
        Together::write(function () use ($keep, $some, $run, $counts): void {
            // A second try counts anew.
            $run->setRawAttributes($counts);
            $this->turn?->keep();
            $keep->keep($some, $run);
            $run->save();
        });
    }

    private function first(Feed $feed, Cursor $cursor): string
    {
        return str_ends_with($feed->address, 'since=')
            ? $feed->address.rawurlencode((string) $cursor->since)
            : $feed->address;
    }

    /** @param  string|null  $says  how it went, where nothing is wrong with the source */
    private function ends(
        Feed $feed,
        FeedRun $run,
        ?string $problem,
        CarbonImmutable $next,
        ?string $says = null,
    ): void {
        $problem = $problem === null ? null : mb_strimwidth($problem, 0, 500, '…');
        $run->fill(['finished_at' => CarbonImmutable::now(), 'problem' => $problem ?? $says])->save();
        $feed->update([
            'problem' => $problem, 'failures' => $problem === null ? 0 : $feed->failures + 1, 'next_at' => $next,
        ]);
    }
}
