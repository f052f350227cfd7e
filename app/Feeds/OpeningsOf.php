<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Contacts\OpeningFunctions;
use App\Models\ItemKind;
use App\Models\ItemState;
use App\Support\AccountIds;
use App\Support\Bulk;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Aboutness;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Opening;
use Luftig\Core\Signal\Openings;
use Luftig\Core\Signal\Posting;
use stdClass;

/** Keeps the openings of accounts in step with their postings (rule 17). */
final class OpeningsOf
{
    private const COLUMNS = [
        'account_id', 'mark', 'title', 'place', 'type', 'text', 'since', 'newest_at', 'closed_at', 'postings', 'agency',
        'functions',
    ];

    /** @param  list<int>  $accounts */
    public static function renew(array $accounts): void
    {
        if ($accounts === []) {
            return;
        }
        $functions = new OpeningFunctions;
        $there = DB::table('openings')->whereIn('account_id', $accounts)->get()
            ->keyBy(fn (stdClass $row): string => "$row->account_id $row->mark");
        $wanted = $new = $of = $touched = [];
        foreach (self::postings($accounts) as $account => $rows) {
            foreach (Openings::of(array_values(array_map(self::posting(...), $rows))) as $opening) {
                $row = self::row($account, $opening, $rows, $functions);
                $key = "$account {$row['mark']}";
                $wanted[$key] = array_map(fn (Posting $one): int => (int) $one->id, $opening->postings);
                $before = $there[$key] ?? null;
                if ($before === null) {
                    $new[$key] = array_values($row);
                    $touched[] = $account;
                } elseif (self::change($before, $row)) {
                    $touched[] = $account;
                }
            }
        }
        $ids = array_combine(array_keys($new), Bulk::insert('openings', self::COLUMNS, array_values($new)));
        foreach ($wanted as $key => $items) {
            $of += array_fill_keys($items, $ids[$key] ?? $there->get($key)?->id);
        }
        Bulk::set('feed_items', 'opening_id', $of);
        $gone = $there->diffKeys($wanted);
        DB::table('openings')->whereIn('id', $gone->pluck('id'))->delete();
        // What can be searched by is searched anew, though it be no signal.
        AccountIds::markStale([...$touched, ...$gone->pluck('account_id')->all()]);
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, array<int, stdClass>> account → its postings by id
     */
    public static function postings(array $accounts): array
    {
        $postings = [];
        foreach (
            DB::table('feed_items AS i')->leftJoin('mentions AS m', fn ($join) => $join->on('feed_item_id', '=', 'i.id')
                ->on('m.account_id', '=', 'i.account_id')->where('verdict', Aboutness::Taken->value))
                ->whereIn('i.account_id', $accounts)->where('kind', ItemKind::Posting->value)
                ->where('state', '<>', ItemState::Refused->value)->get([
                    'i.id', 'i.account_id', 'title', 'link', 'at', 'facts', 'gone_at', 'seen_at', 'feed_id',
                    'm.id AS client',
                ]) as $row
        ) {
            $row->facts = json_decode($row->facts, true);
            $postings[$row->account_id][$row->id] = $row;
        }

        return $postings;
    }

    public static function posting(stdClass $row): Posting
    {
        return new Posting(
            $row->id,
            // Whoever it calls itself: these are of one account.
            'account',
            $row->title,
            $row->facts['place'] ?? '',
            (float) strtotime(($row->at ?? $row->seen_at).' UTC'),
            $row->facts['text'] ?? '',
            $row->facts['type'] ?? '',
            // A person has said whom the agency seeks for; all else was told apart as it came in.
            $row->client === null ? null : false,
        );
    }

    /** When a posting ended, or will: it is gone, or says until when it holds. */
    public static function end(stdClass $row): ?string
    {
        $until = isset($row->facts['until'])
            ? CarbonImmutable::parse($row->facts['until'], 'UTC')->toDateTimeString() : null;

        return $row->gone_at === null || $until === null ? $row->gone_at ?? $until : min($row->gone_at, $until);
    }

    /**
     * @param  array<int, stdClass>  $rows
     * @return array<string, mixed>
     */
    private static function row(int $account, Opening $opening, array $rows, OpeningFunctions $functions): array
    {
        $first = $opening->postings[0];
        $newest = $opening->newest();
        $ends = array_map(fn (Posting $one): ?string => self::end($rows[$one->id]), $opening->postings);

        return array_combine(self::COLUMNS, [
            $account, sha1("{$first->key}|".gmdate('Y-m-d', (int) $first->at)), $newest->title,
            $newest->place === '' ? null : mb_strimwidth($newest->place, 0, 190, '…'),
            $newest->type === '' ? null : mb_strimwidth($newest->type, 0, 60, '…'),
            $newest->text === '' ? null : mb_strcut($newest->text, 0, 60_000),
            gmdate('Y-m-d H:i:s', (int) $first->at), gmdate('Y-m-d H:i:s', (int) $newest->at),
            in_array(null, $ends, true) ? null : max($ends), count($opening->postings), $opening->agency(),
            $functions->of(Kind::Hiring->value, $newest->title, $newest->text),
        ]);
    }

    /** @param  array<string, mixed>  $row */
    private static function change(stdClass $before, array $row): bool
    {
        $changed = array_filter(
            $row,
            fn (mixed $value, string $column): bool => (string) $value !== (string) $before->$column,
            ARRAY_FILTER_USE_BOTH,
        );
        if ($changed !== []) {
            DB::table('openings')->where('id', $before->id)->update($changed);
        }

        return $changed !== [];
    }
}
