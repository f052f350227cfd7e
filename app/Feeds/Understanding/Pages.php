<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\Brought;
use App\Feeds\TechnologySignals;
use App\Feeds\Understanding;
use App\Models\Feed;
use App\Models\ItemState;
use App\Support\AccountIds;
use App\Support\Bulk;
use Illuminate\Support\Facades\DB;

/** Visits of pages: what runs there, what appeared and what disappeared (rule 24). */
final class Pages implements Understanding
{
    public function take(Feed $feed, array $items): int
    {
        $accounts = AccountIds::of(array_map(fn (Brought $one): array => $one->facts, $items));
        $of = $rows = $texts = [];
        foreach ($items as $item) {
            $account = $accounts[$item->facts['domain'] ?? ''] ?? null;
            if ($account === null) {
                $item->becomes(ItemState::Dropped, "Nobody in the base has the domain {$item->facts['domain']}.");

                continue;
            }
            $item->becomes(
                ItemState::Taken,
                $item->facts['reached'] === true ? 'Its page was there.' : 'Its page was not there.',
                $account,
            );
            $of[$account] = $item;
            if (isset($item->facts['text'])) {
                $texts[] = [$account, $item->facts['text'], $item->at->toDateTimeString()];
            }
            $rows[] = [
                'account_id' => $account, 'at' => $item->at->toDateTimeString(), 'reached' => $item->facts['reached'],
                'found' => json_encode($item->facts['found'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            ];
        }
        DB::table('site_visits')->insertOrIgnore($rows);
        $this->say($texts);
        // Whose they are is asked for when they are told.
        Bulk::set('feed_items', 'account_id', array_combine(
            array_map(fn (Brought $one): int => $one->id, array_values($of)), array_keys($of),
        ));

        return TechnologySignals::renew(array_keys($of));
    }

    /**
     * What they say of themselves is searched by.
     *
     * @param  list<array{int, string, string}>  $texts  account, text, when it was seen
     */
    private function say(array $texts): void
    {
        $before = DB::table('site_texts')->whereIn('account_id', array_column($texts, 0))->pluck('text', 'account_id');
        $new = array_values(array_filter($texts, fn (array $one): bool => ($before[$one[0]] ?? null) !== $one[1]));
        Bulk::replace('site_texts', ['account_id', 'text', 'seen_at'], $new);
        AccountIds::markStale(array_column($new, 0));
    }
}
