<?php

declare(strict_types=1);

namespace App\Support;

use App\Events\AccountFactsChanged;
use Illuminate\Support\Facades\DB;

/** Finds the accounts of rows by their domains. */
final class AccountIds
{
    /**
     * @param  iterable<array<string, mixed>>  $records  each with a domain
     * @return array<string, int> domain → id
     */
    public static function of(iterable $records): array
    {
        $domains = [];
        foreach ($records as $record) {
            $domains[$record['domain'] ?? ''] = true;
        }

        // What comes in for an account that was merged belongs to the one that was kept; and what was a candidate, to
        // the account that somebody said it is.
        $ids = DB::table('accounts')->whereIn('domain', array_keys($domains))
            ->selectRaw('COALESCE(merged_into, id) AS id, domain')->pluck('id', 'domain')->all();
        $others = array_keys(array_diff_key($domains, $ids, ['' => 0]));

        return $others === [] ? $ids : $ids + DB::table('candidate_companies')
            ->whereIn('candidate_companies.domain', $others)
            ->join('accounts', 'accounts.id', '=', 'account_id')
            ->selectRaw('COALESCE(merged_into, accounts.id) AS id, candidate_companies.domain')
            ->pluck('id', 'domain')->all();
    }

    /** @param  array<int>  $ids */
    public static function markStale(array $ids): void
    {
        if ($ids !== []) {
            AccountFactsChanged::dispatch(array_values(array_unique($ids)));
        }
    }

    public static function unknown(string $domain): string
    {
        return "No account has the domain {$domain}; bring the accounts first.";
    }
}
