<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Feeds\Understanding\Reports;
use App\Models\FeedItem;
use App\Models\ItemKind;
use App\Models\ItemState;
use App\Models\Mention;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Aboutness;

/** A person says whether an item is about an account. */
final class DecideMention
{
    public static function as(Mention $mention, Aboutness $verdict, User $by): void
    {
        Together::write(function () use ($mention, $verdict, $by): void {
            $mention->update([
                'verdict' => $verdict, 'decided_by' => $verdict === Aboutness::ToDecide ? null : $by->id,
            ]);
            $item = $mention->item;
            if ($item->kind === ItemKind::Posting) {
                self::posting($item, $mention);
            } elseif ($verdict === Aboutness::Taken) {
                (new Reports)->accept($mention);
            } else {
                self::withdraw($mention);
            }
            $verdicts = $item->mentions()->pluck('verdict')->all();
            $item->update(['state' => match (true) {
                in_array(Aboutness::Taken, $verdicts, true) => ItemState::Taken,
                in_array(Aboutness::ToDecide, $verdicts, true) => ItemState::Waiting,
                default => ItemState::Dropped,
            }]);
        }, $mention);
    }

    /** Whom an agency seeks for: the opening is theirs, or theirs no more. */
    private static function posting(FeedItem $item, Mention $mention): void
    {
        $isTheirs = $mention->verdict === Aboutness::Taken;
        $isTheirs ?: self::withdraw($mention);
        $item->update(['account_id' => $isTheirs ? $mention->account_id : null, 'opening_id' => null]);
        OpeningsOf::renew([$mention->account_id]);
        HiringSignals::renew([$mention->account_id]);
    }

    /** What only this item told of the account is gone with it. */
    private static function withdraw(Mention $mention): void
    {
        $signals = DB::table('signal_sources')->join('signals', 'signals.id', '=', 'signal_id')
            ->where('feed_item_id', $mention->feed_item_id)->where('account_id', $mention->account_id)
            ->pluck('signals.id');
        DB::table('signal_sources')->where('feed_item_id', $mention->feed_item_id)->whereIn('signal_id', $signals)
            ->delete();
        DB::table('signals')->where('fed', true)->whereIn('id', $signals)
            ->whereNotExists(fn ($query) => $query->from('signal_sources')->whereColumn('signal_id', 'signals.id'))
            ->delete();
        AccountIds::markStale([$mention->account_id]);
    }
}
