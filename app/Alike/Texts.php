<?php

declare(strict_types=1);

namespace App\Alike;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Likeness\Profile;

/** What accounts say of themselves, and what is known of their trade and size. */
final class Texts
{
    private const CHUNK = 2000;

    /** Characters of a text that are compared. */
    private const LONGEST = 20_000;

    /**
     * @param  list<int>|null  $ids  null: all
     * @param  int  $part  from 0, where several share them
     * @return iterable<int, Profile> by account
     */
    public static function of(?array $ids = null, int $part = 0, int $of = 1): iterable
    {
        if ($ids !== null) {
            foreach (array_chunk($ids, self::CHUNK) as $some) {
                yield from self::profiles(self::accounts()->whereIn('accounts.id', $some));
            }

            return;
        }
        $last = (int) DB::table('accounts')->max('id');
        for ($from = 1 + $part * self::CHUNK; $from <= $last; $from += $of * self::CHUNK) {
            yield from self::profiles(self::accounts()->whereBetween('accounts.id', [$from, $from + self::CHUNK - 1]));
        }
    }

    /** Changes with what accounts say and are. */
    public static function stamp(): string
    {
        return (string) DB::scalar(
            'SELECT CONCAT_WS(" ", COUNT(*), MAX(id), MAX(updated_at), SUM(merged_into IS NULL), (SELECT '
                .'CONCAT(COUNT(*), MAX(seen_at)) FROM site_texts)) FROM accounts',
        );
    }

    public static function count(): int
    {
        return DB::table('accounts')->whereNull('merged_into')->count();
    }

    private static function accounts(): Builder
    {
        return DB::table('accounts')->leftJoin('site_texts', 'site_texts.account_id', '=', 'accounts.id')
            ->whereNull('merged_into')->orderBy('accounts.id')->select(['accounts.id', 'headcount'])
            ->selectRaw("LEFT(CONCAT_WS('; ', keywords, description, site_texts.text), ?) AS words", [self::LONGEST]);
    }

    /** @return iterable<int, Profile> */
    private static function profiles(Builder $accounts): iterable
    {
        $rows = $accounts->get();
        $industries = [];
        foreach (
            DB::table('account_industry')->whereIn('account_id', $rows->pluck('id')->all())->whereNotNull('code')
                ->orderBy('position')->get(['account_id', 'code']) as $one
        ) {
            $industries[$one->account_id][] = (string) $one->code;
        }
        foreach ($rows as $row) {
            yield (int) $row->id => Profile::of(
                (int) $row->id,
                (string) $row->words,
                $industries[$row->id] ?? [],
                $row->headcount === null ? null : (int) $row->headcount,
            );
        }
    }
}
