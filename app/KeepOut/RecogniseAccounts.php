<?php

declare(strict_types=1);

namespace App\KeepOut;

use App\Models\KeepOut;
use App\Models\KeepOutType;
use App\Support\AccountIds;
use App\Support\Bulk;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Agency;
use Luftig\Core\Text\Fold;
use Luftig\Core\Text\Query;
use stdClass;

/**
 * Which accounts are kept out by what they are called or say: agencies, and those that a query on the keep-out finds.
 * It is written down, so that every screen knows at once.
 */
final class RecogniseAccounts
{
    private const CHUNK = 2000;

    /** @param  string  $which  an SQL condition on the account id `id`; of these, those whose facts changed */
    public static function refresh(string $which): void
    {
        $accounts = self::accounts("stale = 1 AND $which");
        if ($accounts === []) {
            return;
        }
        $queries = KeepOut::query()->where('type', KeepOutType::Query)->get();
        $parsed = $queries->mapWithKeys(fn (KeepOut $entry): array => [$entry->id => Query::parse($entry->value)])
            ->all();
        $rows = [];
        foreach ($accounts as $account) {
            $agency = $account->no_agency ? null : Agency::because(
                $account->name,
                explode(',', (string) $account->codes),
                "$account->description $account->keywords",
            );
            if ($agency !== null) {
                $rows[] = [$account->id, null, $agency];
            }
            foreach ($queries as $entry) {
                if ($parsed[$entry->id]->matchesLine(self::line($account))) {
                    $rows[] = [$account->id, $entry->id, $entry->reason];
                }
            }
        }
        DB::table('recognised')->whereIn('account_id', array_column($accounts, 'id'))->delete();
        Bulk::insert('recognised', ['account_id', 'keep_out_id', 'because'], $rows);
    }

    /** @return int how many of all accounts a query keeps out that was entered just now */
    public static function apply(KeepOut $entry): int
    {
        $query = Query::parse($entry->value);
        $found = 0;
        for ($from = 1, $last = (int) DB::table('accounts')->max('id'); $from <= $last; $from += self::CHUNK) {
            $ids = array_column(
                array_filter(
                    self::accounts("`id` BETWEEN $from AND ".($from + self::CHUNK - 1)),
                    fn (stdClass $account): bool => $query->matchesLine(self::line($account)),
                ),
                'id',
            );
            Bulk::insert('recognised', ['account_id', 'keep_out_id', 'because'], array_map(
                fn (int $id): array => [$id, $entry->id, $entry->reason],
                $ids,
            ));
            AccountIds::markStale($ids);
            $found += count($ids);
        }

        return $found;
    }

    /** @return list<stdClass> */
    private static function accounts(string $which): array
    {
        return array_values(DB::select(
            'SELECT a.id, name, description, keywords, no_agency, (SELECT GROUP_CONCAT(code ORDER BY position) FROM '
                .'account_industry i WHERE i.account_id = a.id) AS codes FROM accounts a WHERE merged_into IS NULL AND '
                .str_replace('`id`', 'a.id', $which),
        ));
    }

    /** What an account says of itself, as the Finder's words. */
    private static function line(stdClass $account): string
    {
        return Fold::line("$account->name $account->keywords $account->description");
    }
}
