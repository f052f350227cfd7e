<?php

declare(strict_types=1);

namespace App\Alike;

use App\Models\Approach;
use App\Models\Offer;
use Illuminate\Support\Facades\DB;

/** Whom one may begin with: the best customers, or those who answered. */
final class Proposed
{
    private const MOST = 12;

    /** @return list<int> customers still, the best of them where some are marked */
    public static function customers(): array
    {
        $customers = DB::table('customer_periods')->join('accounts', 'accounts.id', '=', 'account_id')
            ->whereNull('merged_into')
            ->where(fn ($either) => $either->whereNull('until')->orWhere('until', '>=', today()))
            ->orderByDesc('best')->orderByDesc('since')->orderBy('account_id')->get(['account_id', 'best']);
        $best = $customers->where('best', 1);

        return array_values(array_unique(array_map(
            intval(...), ($best->isEmpty() ? $customers : $best)->take(self::MOST)->pluck('account_id')->all(),
        )));
    }

    /** @return list<int> accounts where somebody was interested, or a meeting came of it, the latest first */
    public static function answered(Offer $offer): array
    {
        return array_values(array_map(intval(...), Approach::query()->where('offer_id', $offer->id)
            ->whereIn('result', ['interested', 'meeting'])->groupBy('account_id')->orderByRaw('MAX(made_at) DESC')
            ->limit(self::MOST)->pluck('account_id')->all()));
    }
}
