<?php

declare(strict_types=1);

namespace App\Reasons;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Which angles were used at accounts lately, so that nobody hears the same twice (rule 21). */
final class AngleUse
{
    private const DAYS = 90;

    /**
     * @param  array<int>  $accounts
     * @return array<int, list<array{string, int, float}>> account → angle, on whom, how many days ago
     */
    public static function at(array $accounts): array
    {
        $now = CarbonImmutable::now();
        $used = [];
        foreach (
            DB::table('approaches')->join('reasons', 'reasons.id', '=', 'reason_id')
                ->whereIn('approaches.account_id', $accounts)->where('made_at', '>=', $now->subDays(self::DAYS))
                ->whereRaw("JSON_VALUE(evidence, '$.angle') IS NOT NULL")
                ->get([
                    'approaches.account_id', 'approaches.contact_id', 'made_at',
                    DB::raw("JSON_VALUE(evidence, '$.angle') AS angle"),
                ]) as $row
        ) {
            $used[$row->account_id][] = [
                (string) $row->angle, (int) $row->contact_id,
                CarbonImmutable::parse($row->made_at, 'UTC')->diffInSeconds($now) / 86_400,
            ];
        }

        return $used;
    }
}
