<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;
use Illuminate\Support\Facades\DB;

/** Whose pages are to be looked at: those of accounts that were not looked at for a week, the longest first. */
final class SitesToVisit
{
    public const DOMAIN = '{domain}';

    private const DAYS = 7;

    /** So many in one run. */
    private const MOST = 2000;

    /** @return list<string> addresses */
    public static function of(Feed $feed): array
    {
        return array_values(DB::table('accounts')->leftJoin('site_visits', 'account_id', '=', 'accounts.id')
            ->whereNotNull('domain')->whereNull('merged_into')->groupBy('accounts.id', 'domain')
            ->havingRaw('MAX(at) IS NULL OR MAX(at) <= ?', [now()->subDays(self::DAYS)->toDateTimeString()])
            ->orderByRaw('MAX(at), accounts.id')->limit(self::MOST)->pluck('domain')
            ->map(fn (string $domain): string => str_replace(self::DOMAIN, $domain, $feed->address))->all());
    }
}
