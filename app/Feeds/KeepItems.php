<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;
use App\Models\FeedRun;
use App\Models\ItemKind;
use App\Models\ItemState;
use App\Support\Bulk;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Keeps items with their raw form, and tells what is new, changed, as it was, or gone; what is new is understood. */
final class KeepItems
{
    /** What is dated later than this after now is dated wrongly, and not announced. */
    private const AHEAD_HOURS = 26;

    private const CHANGES = 20;

    private const COLUMNS = [
        'feed_id', 'mark', 'content', 'kind', 'title', 'link', 'at', 'facts', 'raw', 'state', 'why', 'seen_at',
        'created_at', 'updated_at',
    ];

    private const READ = [
        'id', 'mark', 'content', 'title', 'link', 'at', 'facts', 'state', 'account_id', 'gone_at', 'seen_at', 'changes',
    ];

    public function __construct(private readonly Feed $feed, private readonly ItemKind $kind)
    {
    }

    /**
     * @param  list<Found>  $found
     * @param  FeedRun  $run  in which is counted
     */
    public function keep(array $found, FeedRun $run): void
    {
        $run->came += count($found);
        $now = CarbonImmutable::now();
        $items = [];
        foreach ($found as $one) {
            $items[sha1($one->id)] = $one;
        }
        $there = $this->there(array_keys($items));
        $run->same += count($found) - count($items);
        $new = $understand = $seen = [];
        foreach ($items as $mark => $one) {
            $facts = json_encode($one->facts, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
            $content = sha1($one->title.'|'.$one->link.'|'.$one->at?->toIso8601ZuluString().'|'.$facts);
            $refused = $one->refused ?? ($one->at?->subHours(self::AHEAD_HOURS)->isFuture() === true
                ? 'It is dated '.$one->at->toDateString().', which is still to come.' : null);
            $before = $there[$mark] ?? null;
            $isSame = $before?->content === $content && $before->gone_at === null;
            if ($isSame && ($before->state === ItemState::Refused->value) === ($refused !== null)) {
                $seen[] = $before->id;
                $run->same++;

                continue;
            }
            $run->refused += $refused === null ? 0 : 1;
            $row = [
                $this->feed->id, $mark, $content, $this->kind->value, $one->title,
                $one->link === null ? null : mb_strcut($one->link, 0, 500), $one->at?->toDateTimeString(), $facts,
                (string) gzcompress($one->raw, 3),
                ($refused === null ? ItemState::New : ItemState::Refused)->value, $refused,
                ...array_fill(0, 3, $now->toDateTimeString()),
            ];
            if ($before === null) {
                $run->created++;
                $new[] = $row;
            } else {
                $run->changed++;
                $this->change($before, array_combine(self::COLUMNS, $row), $now);
            }
            if ($refused === null || $before !== null) {
                $understand[] = $mark;
            }
        }
        Bulk::insert('feed_items', self::COLUMNS, $new);
        DB::table('feed_items')->whereIn('id', $seen)->update(['seen_at' => $now]);
        $this->understand($this->there($understand), $run);
    }

    /**
     * What the source no longer lists is gone, and stays.
     *
     * @param  list<string>  $alive  ids
     */
    public function close(array $alive, FeedRun $run): void
    {
        $alive = array_fill_keys(array_map(sha1(...), $alive), true);
        $gone = DB::table('feed_items')->where('feed_id', $this->feed->id)->whereNull('gone_at')->pluck('mark', 'id')
            ->reject(fn (string $mark): bool => isset($alive[$mark]))->keys()->all();
        foreach (array_chunk($gone, 500) as $ids) {
            DB::table('feed_items')->whereIn('id', $ids)->update(['gone_at' => CarbonImmutable::now()]);
            $run->gone += count($ids);
            $this->understand(DB::table('feed_items')->whereIn('id', $ids)->get(self::READ)->all(), $run);
        }
    }

    /**
     * Understood once more, after the base came to know whom they are about.
     *
     * @param  list<int>  $ids
     */
    public static function again(Feed $feed, ItemKind $kind, array $ids): void
    {
        (new self($feed, $kind))->understand(
            DB::table('feed_items')->whereIn('id', $ids)->get(self::READ)->all(), new FeedRun,
        );
    }

    /** @param  array<array-key, stdClass>  $rows */
    private function understand(array $rows, FeedRun $run): void
    {
        $items = array_map(
            Brought::of(...),
            array_values(array_filter($rows, fn (stdClass $row): bool => $row->state !== ItemState::Refused->value)),
        );
        if ($items === []) {
            return;
        }
        $run->signals += Understandings::of($this->kind)->take($this->feed, $items);
        $forgotten = array_filter($items, fn (Brought $one): bool => $one->isForgotten);
        DB::table('feed_items')->whereIn('id', array_map(fn (Brought $one): int => $one->id, $forgotten))->update([
            'title' => 'An erased person', 'link' => null, 'facts' => '{}', 'changes' => null, 'raw' => gzcompress(''),
        ]);
        $outcomes = [];
        foreach ($items as $item) {
            $outcomes[serialize([$item->state, $item->why, $item->account])][] = $item;
        }
        foreach ($outcomes as $alike) {
            $state = $alike[0]->state ?? ItemState::Dropped;
            DB::table('feed_items')->whereIn('id', array_map(fn (Brought $one): int => $one->id, $alike))
                ->update(['state' => $state, 'why' => $alike[0]->why, 'account_id' => $alike[0]->account]);
            $run->waiting += $state === ItemState::Waiting ? count($alike) : 0;
        }
    }

    /** @param  array<string, mixed>  $after */
    private function change(stdClass $before, array $after, CarbonImmutable $now): void
    {
        $was = json_decode($before->facts, true) + ['title' => $before->title, 'day' => $before->at];
        $is = json_decode((string) $after['facts'], true) + ['title' => $after['title'], 'day' => $after['at']];
        $changed = array_filter(
            $was,
            fn (mixed $value, string $field): bool => ($is[$field] ?? null) !== $value,
            ARRAY_FILTER_USE_BOTH,
        ) + array_fill_keys(array_keys(array_diff_key($is, $was)), null);
        $changes = json_decode($before->changes ?? '[]', true);
        $changes[] = ['at' => $now->toIso8601ZuluString(), 'before' => $changed];
        DB::table('feed_items')->where('id', $before->id)->update([
            'changes' => json_encode(
                array_slice($changes, -self::CHANGES), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
            ),
            'gone_at' => null,
        ] + array_diff_key($after, ['created_at' => 0, 'feed_id' => 0, 'mark' => 0]));
    }

    /**
     * @param  list<string>  $marks
     * @return array<string, stdClass>
     */
    private function there(array $marks): array
    {
        return DB::table('feed_items')->where('feed_id', $this->feed->id)->whereIn('mark', $marks)->get(self::READ)
            ->keyBy('mark')->all();
    }
}
