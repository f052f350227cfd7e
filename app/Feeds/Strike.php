<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Signal;
use App\Models\StruckSignal;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Together;
use Illuminate\Support\Facades\DB;

/** Strikes out signals that are wrong: they count for nothing, and the same sources do not bring them again. */
final class Strike
{
    public static function out(Signal $signal, User $by, string $reason): StruckSignal
    {
        return Together::write(function () use ($signal, $by, $reason): StruckSignal {
            $row = (array) DB::table('signals')->where('id', $signal->id)->lockForUpdate()->sole();
            $struck = StruckSignal::query()->create([
                'id' => $signal->id, 'fingerprint' => $row['fingerprint'], 'account_id' => $row['account_id'],
                'row' => $row, 'reason' => $reason, 'user_id' => $by->id, 'struck_at' => now(),
                'sources' => DB::table('signal_sources')->where('signal_id', $signal->id)->get()
                    ->map(fn ($source): array => (array) $source)->all(),
            ]);
            DB::table('signals')->where('id', $signal->id)->delete();
            AccountIds::markStale([$row['account_id']]);

            return $struck;
        });
    }

    public static function back(StruckSignal $struck): void
    {
        Together::write(function () use ($struck): void {
            DB::table('signals')->insert($struck->row);
            // An item may have gone with its feed.
            $there = DB::table('feed_items')->whereIn('id', array_column($struck->sources, 'feed_item_id'))->pluck('id')
                ->flip();
            DB::table('signal_sources')->insert(array_values(array_filter(
                $struck->sources,
                fn (array $source): bool => isset($there[$source['feed_item_id']]),
            )));
            $struck->delete();
            AccountIds::markStale([$struck->account_id]);
        });
    }
}
