<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\StruckSignal;
use App\Support\AccountIds;
use App\Support\Bulk;
use App\Support\Same;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Story;
use stdClass;

/**
 * Keeps signals that sources tell of: what is there already is kept up to date, what another way has brought gets one
 * more source, and what somebody struck out stays out.
 */
final class KeepSignals
{
    private const FIELDS = [
        'title', 'occurred_at', 'since', 'strength', 'confidence', 'facts', 'source', 'quote', 'link', 'concerns',
    ];

    /**
     * @param  list<Wanted>  $wanted
     * @return int how many are new
     */
    public static function keep(array $wanted): int
    {
        if ($wanted === []) {
            return 0;
        }
        $marks = array_map(fn (Wanted $one): string => $one->mark, $wanted);
        $there = DB::table('signals')->whereIn('fingerprint', $marks)->get(['id', 'fingerprint', ...self::FIELDS])
            ->keyBy('fingerprint');
        $struck = self::struck($wanted);
        $others = self::others($wanted);
        $now = now()->toDateTimeString();
        /** @var array<string, Wanted> $new */
        $new = [];
        /** @var array<string, array<int, array{float, string}>> $told */
        $told = [];
        $sources = $touched = $joined = [];
        foreach ($wanted as $one) {
            $isStruck = fn (array $items): bool => array_diff_key($one->sources, $items) === [];
            if (array_filter($struck["$one->account {$one->kind->value}"] ?? [], $isStruck) !== []) {
                continue;
            }
            $before = $there[$one->mark] ?? null;
            $same = $before === null ? self::same($one, [
                ...$others[$one->account] ?? [],
                ...array_map(self::asRow(...), array_values($new)),
            ]) : null;
            if ($same !== null && $same->id === null) {
                $told[$same->fingerprint] += $one->sources;
            } elseif ($same !== null) {
                $sources[] = [$same->id, $one->sources];
                $joined[$same->id] = $one->account;
            } elseif ($before === null) {
                $new[$one->mark] = $one;
                $told[$one->mark] = $one->sources;
            } else {
                $sources[] = [$before->id, $one->sources];
                $changed = self::changed(self::row($one, $one->sources), $before);
                if ($changed !== []) {
                    DB::table('signals')->where('id', $before->id)->update($changed + ['updated_at' => $now]);
                    $touched[] = $one->account;
                }
            }
        }
        $ids = Bulk::insert(
            'signals',
            [
                'account_id', 'contact_id', 'kind', 'offer_id', ...self::FIELDS, 'fed', 'seen_at', 'fingerprint',
                'created_at', 'updated_at',
            ],
            array_map(fn (Wanted $one): array => [
                $one->account, $one->contact, $one->kind->value, $one->offer,
                ...array_values(self::row($one, $told[$one->mark])), true, $now, $one->mark, $now, $now,
            ], array_values($new)),
        );
        foreach (array_values($new) as $i => $one) {
            $sources[] = [$ids[$i], $told[$one->mark]];
            $touched[] = $one->account;
        }
        self::source($sources);
        AccountIds::markStale([...$touched, ...self::surer($joined)]);

        return count($ids);
    }

    /**
     * Signals that only feeds told of, and that nothing tells of any more, go.
     *
     * @param  Builder  $told  signals that would be told again
     * @param  list<Wanted>  $wanted
     */
    public static function withdraw(Builder $told, array $wanted): void
    {
        $marks = array_fill_keys(array_map(fn (Wanted $one): string => $one->mark, $wanted), true);
        $gone = $told->where('fed', true)->get(['id', 'account_id', 'fingerprint'])
            ->reject(fn (stdClass $row): bool => isset($marks[$row->fingerprint]));
        DB::table('signals')->whereIn('id', $gone->pluck('id'))->delete();
        AccountIds::markStale($gone->pluck('account_id')->all());
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private static function changed(array $row, stdClass $before): array
    {
        return array_filter(
            $row,
            fn (mixed $value, string $field): bool => ! Same::value($value, $before->$field)
                && ! ($field === 'facts' && Same::json((string) $value, (string) $before->$field)),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * What feeds alone tell of is as sure as all of them together; what a person or a file said stays as it was said.
     *
     * @param  array<int, int>  $joined  signal → account
     * @return list<int> accounts for which that changes something
     */
    private static function surer(array $joined): array
    {
        $sure = DB::table('signal_sources')->join('signals', 'signals.id', '=', 'signal_id')->where('fed', true)
            ->whereIn('signal_id', array_keys($joined))
            ->get(['signal_id', 'signal_sources.confidence', 'signals.confidence AS was'])->groupBy('signal_id');
        $changed = [];
        foreach ($sure as $signal => $sources) {
            $confidence = Story::confidence(array_values($sources->pluck('confidence')->all()));
            if (! Same::value($confidence, $sources->value('was'))) {
                DB::table('signals')->where('id', $signal)->update(['confidence' => $confidence]);
                $changed[] = $joined[$signal];
            }
        }

        return $changed;
    }

    private static function asRow(Wanted $one): stdClass
    {
        return (object) [
            'id' => null, 'account_id' => $one->account, 'kind' => $one->kind->value, 'title' => $one->title,
            'occurred_at' => $one->at->toDateTimeString(), 'link' => $one->link, 'offer_id' => $one->offer,
            'facts' => json_encode($one->facts), 'contact_id' => $one->contact, 'fingerprint' => $one->mark,
        ];
    }

    /**
     * @param  array<int, array{float, string}>  $sources
     * @return array<string, mixed>
     */
    private static function row(Wanted $one, array $sources): array
    {
        return array_combine(self::FIELDS, [
            $one->title, $one->at->toDateTimeString(), $one->since?->toDateTimeString(), $one->strength,
            $one->confidence ?? Story::confidence(array_column($sources, 0)),
            $one->facts === [] ? null : json_encode($one->facts, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            mb_strimwidth($one->source, 0, 80, '…'), $one->quote,
            $one->link === null ? null : mb_strcut($one->link, 0, 500), $one->concerns,
        ]);
    }

    /**
     * What was struck out comes again only with a source that it did not have.
     *
     * @param  list<Wanted>  $wanted
     * @return array<string, list<array<int, int>>> account and kind → the items of each that was struck out
     */
    private static function struck(array $wanted): array
    {
        $struck = [];
        foreach (
            StruckSignal::query()->whereIn('account_id', array_map(fn (Wanted $one): int => $one->account, $wanted))
                ->get() as $one
        ) {
            $items = array_column($one->sources, 'feed_item_id', 'feed_item_id');
            $struck["$one->account_id {$one->row['kind']}"][] = $items;
        }

        return $struck;
    }

    /**
     * Signals of the same accounts and kinds that came another way.
     *
     * @param  list<Wanted>  $wanted
     * @return array<int, list<stdClass>> by account
     */
    private static function others(array $wanted): array
    {
        $joining = array_filter($wanted, fn (Wanted $one): bool => $one->isSame !== null);
        if ($joining === []) {
            return [];
        }
        $times = array_map(fn (Wanted $one): int => $one->at->getTimestamp(), $joining);
        $days = 86_400 * max(array_map(fn (Wanted $one): int => $one->days, $joining));
        $found = [];
        foreach (
            DB::table('signals')->whereIn('account_id', array_map(fn (Wanted $one): int => $one->account, $joining))
                ->whereBetween('occurred_at', [
                    gmdate('Y-m-d H:i:s', min($times) - $days), gmdate('Y-m-d H:i:s', max($times) + $days),
                ])->orderBy('id')->get([
                    'id', 'account_id', 'kind', 'title', 'occurred_at', 'link', 'facts', 'offer_id', 'contact_id',
                    'fingerprint',
                ]) as $row
        ) {
            $found[$row->account_id][] = $row;
        }

        return $found;
    }

    /** @param  list<stdClass>  $others */
    private static function same(Wanted $one, array $others): ?stdClass
    {
        if ($one->isSame === null) {
            return null;
        }
        foreach ($others as $other) {
            if (
                $other->account_id === $one->account
                && $other->kind === $one->kind->value
                && ($other->offer_id === null || $other->offer_id === $one->offer)
                && abs((int) strtotime("$other->occurred_at UTC") - $one->at->getTimestamp()) <= 86_400 * $one->days
                && ($one->isSame)($other)
            ) {
                return $other;
            }
        }

        return null;
    }

    /** @param  list<array{int, array<int, array{float, string}>}>  $sources  signal → its items */
    private static function source(array $sources): void
    {
        $rows = [];
        foreach ($sources as [$signal, $items]) {
            foreach ($items as $item => [$confidence, $because]) {
                $rows["$signal $item"] = [$signal, $item, $confidence, mb_strimwidth($because, 0, 255, '…')];
            }
        }
        Bulk::replace(
            'signal_sources', ['signal_id', 'feed_item_id', 'confidence', 'because'], array_values($rows),
        );
    }
}
