<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;
use App\Models\FeedRun;
use App\Models\ItemKind;
use App\Models\User;
use App\Support\Together;
use Carbon\CarbonImmutable;

/**
 * A file in a format that sources speak, brought by hand. All of one format are one source, so that what is brought
 * twice changes nothing.
 */
final class TakeDocument
{
    /** Bytes by which it is told what a file is. */
    private const SNIFFED = 65_536;

    /** What is read whole may be only so large. */
    private const WHOLE = 20_000_000;

    private const CHUNK = 500;

    private const CONFIDENCE = .9;

    private const NAMES = [
        'posting-lines' => 'Files of postings', 'posting-pages' => 'Pages of postings',
        'press' => 'Files of reports', 'activities' => 'Files of posts', Feed::WEBHOOK => 'Files of events',
    ];

    /** @return string|null  the format of feeds that a file is in; null: it is none of them */
    public static function format(string $path): ?string
    {
        $begins = ltrim((string) file_get_contents($path, length: self::SNIFFED), "\xEF\xBB\xBF \t\r\n");

        return match (true) {
            preg_match('/^(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*)*<(?:feed|rss)[\s>]/s', $begins) === 1 => 'press',
            str_starts_with($begins, '<') => str_contains($begins, 'JobPosting') ? 'posting-pages' : null,
            ! in_array($begins[0] ?? '', ['{', '['], true) => null,
            preg_match('/"specversion"\s*:/', $begins) === 1 => Feed::WEBHOOK,
            preg_match('/"@type"\s*:\s*\[?\s*"JobPosting"/', $begins) === 1 => 'posting-lines',
            preg_match('/activitystreams|"orderedItems"\s*:/', $begins) === 1 => 'activities',
            default => null,
        };
    }

    /** @throws Unreadable where nothing of it can be used */
    public static function take(string $path, string $format, User $by): FeedRun
    {
        $feed = Feed::query()->firstOrCreate(['name' => self::NAMES[$format], 'format' => $format], [
            'address' => '', 'confidence' => self::CONFIDENCE, 'rhythm' => 0, 'user_id' => $by->id,
        ]);
        try {
            return $format === Feed::WEBHOOK ? self::events($path, $feed) : self::items($path, $feed, $format);
        } catch (Unreadable $e) {
            // As if it had not been brought.
            $feed->runs()->whereNull('finished_at')->delete();
            if ($feed->wasRecentlyCreated) {
                $feed->forceDelete();
            }
            throw $e;
        }
    }

    private static function items(string $path, Feed $feed, string $format): FeedRun
    {
        $copy = (string) tempnam(sys_get_temp_dir(), 'luftig');
        $document = new Fetched('', $copy);
        $format === 'posting-lines' ? self::asLines($path, $copy) : copy($path, $copy);
        $read = Formats::named($format);
        $run = FeedRun::query()->create(['feed_id' => $feed->id, 'started_at' => CarbonImmutable::now()])->refresh();
        $keep = new KeepItems($feed, $read::kind());
        $some = [];
        foreach ($read->read($document, Cursor::from(null))->items as $item) {
            $some[] = $item;
            if (count($some) === self::CHUNK) {
                self::keep($keep, $some, $run);
                $some = [];
            }
        }
        self::keep($keep, $some, $run);
        $run->update(['finished_at' => CarbonImmutable::now()]);

        return $run;
    }

    /** @param  list<Found>  $some */
    private static function keep(KeepItems $keep, array $some, FeedRun $run): void
    {
        $counts = $run->getAttributes();
        Together::write(function () use ($keep, $some, $run, $counts): void {
            $run->setRawAttributes($counts);
            $keep->keep($some, $run);
            $run->save();
        });
    }

    private static function events(string $path, Feed $feed): FeedRun
    {
        $kinds = [];
        foreach (self::objects($path) as $event) {
            $kind = str_ends_with((string) ($event['type'] ?? ''), 'account') ? ItemKind::Fact : ItemKind::Event;
            $kinds[$kind->value][] = $event;
        }
        foreach ($kinds as $kind => $events) {
            foreach (array_chunk($events, self::CHUNK) as $some) {
                TakeEvents::from($feed, ItemKind::from($kind), $some);
            }
        }

        return $feed->runs()->first() ?? throw new Unreadable('There is no event in it.');
    }

    /** One posting a line, however they were written. */
    private static function asLines(string $from, string $to): void
    {
        $begins = (string) file_get_contents($from, length: self::SNIFFED);
        $first = json_decode(trim((string) strtok($begins, "\n")), true);
        if (is_array($first) && ! array_is_list($first) && ! isset($first['@graph'])) {
            copy($from, $to);

            return;
        }
        $lines = array_map(
            fn (array $one): string => (string) json_encode($one, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            self::objects($from),
        );
        file_put_contents($to, implode("\n", $lines));
    }

    /**
     * @return list<array<string, mixed>> of a file that is one object, a list of them, a graph, or one a line
     *
     * @throws Unreadable
     */
    private static function objects(string $path): array
    {
        if (filesize($path) > self::WHOLE) {
            throw new Unreadable('A file of these may have 20 MB. Bring it in parts.');
        }
        $text = (string) file_get_contents($path);
        $json = json_decode($text, true)
            ?? array_map(fn (string $line): mixed => json_decode($line, true), explode("\n", trim($text)));
        $json = is_array($json) && isset($json['@graph']) ? $json['@graph'] : $json;
        $all = is_array($json) && array_is_list($json) ? $json : [$json];
        $objects = array_values(array_filter(
            $all, fn (mixed $one): bool => is_array($one) && $one !== [] && ! array_is_list($one),
        ));

        return $objects === [] ? throw new Unreadable('There is no whole JSON object in it.') : $objects;
    }
}
