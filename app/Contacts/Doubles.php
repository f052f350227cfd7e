<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Lists\Belongings;
use App\Models\Double;
use App\Models\User;
use App\Support\AccountField;
use App\Support\AccountIds;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyFacts;
use Luftig\Core\Company\Identity;
use Luftig\Core\Company\Verdict;
use stdClass;

/**
 * Pairs of records that may be one (rule 15). A merge keeps both: the second points at the first, and what belonged to
 * it moves over; what moved is written down, so that it can be undone.
 */
final class Doubles
{
    /** Accounts of one name that each is compared with; a name that still more have tells nothing. */
    private const NAMESAKES = 20;

    /** What belongs to a record and moves with it: table → columns. */
    private const MOVES = [
        'account' => [
            'contacts' => ['account_id'], 'signals' => ['account_id'], 'notes' => ['account_id'],
            'reasons' => ['account_id'], 'approaches' => ['account_id'], 'customer_periods' => ['account_id'],
            'positions' => ['account_id'], 'keep_outs' => ['account_id'], 'reservations' => ['account_id'],
            'group_places' => ['account_id'], 'accounts' => ['parent_id'], 'stations' => ['account_id'],
            'feed_items' => ['account_id'], 'stories' => ['account_id'],
        ],
        'contact' => [
            'positions' => ['contact_id'], 'signals' => ['contact_id'], 'reasons' => ['contact_id'],
            'notes' => ['contact_id'],
            'approaches' => ['contact_id'], 'keep_outs' => ['contact_id'], 'group_places' => ['reports_to'],
            'relations' => ['contact_id'], 'asks' => ['contact_id', 'asked_contact_id'],
        ],
    ];

    /** Moves only where the first has nothing of the kind: table → what must not be there twice. */
    private const UNIQUE = ['account' => [
        'decisions' => ['offer_id'], 'openings' => ['mark'], 'mentions' => ['feed_item_id'],
    ], 'contact' => [
        'channels' => ['type', 'value'], 'group_places' => ['offer_id'], 'reservations' => [],
        'affiliations' => ['kind', 'name'],
    ]];

    /** @return list<string> what of the second fills gaps of the first */
    private static function filled(string $record): array
    {
        return $record === 'contact'
            ? ['title', 'reading', 'about', 'interests', 'city', 'country']
            : [
                ...AccountField::columns(), 'revenue', 'revenue_amount', 'revenue_currency', 'revenue_given', 'status',
                'owner_id',
            ];
    }

    /**
     * @param  list<int>  $ids  accounts that are new
     * @param  list<string>  $keys  their name keys
     */
    public static function findAccounts(array $ids, array $keys): void
    {
        if ($ids === []) {
            return;
        }
        $shared = DB::table('accounts')->whereIn('name_key', $keys)->where('id', '<', $ids[0])->distinct()
            ->pluck('name_key')->all();
        $shared = [...$shared, ...array_keys(
            array_filter(array_count_values($keys), fn (int $count): bool => $count > 1),
        )];
        if ($shared === []) {
            return;
        }
        $groups = DB::table('accounts')
            ->leftJoin('places', fn ($join) => $join->on('account_id', '=', 'accounts.id')->where('headquarters', true))
            ->whereIn('name_key', $shared)->whereNull('merged_into')->orderBy('accounts.id')
            ->get(['accounts.id', 'name', 'name_key', 'domain', 'country', 'city'])->groupBy('name_key');
        $new = array_flip($ids);
        foreach ($groups as $group) {
            foreach ($group as $i => $second) {
                foreach ($group->slice(0, min($i, self::NAMESAKES)) as $first) {
                    if (isset($new[$second->id]) || isset($new[$first->id])) {
                        $identity = Identity::of(self::facts($first), self::facts($second));
                        if ($identity->verdict === Verdict::Unsure) {
                            self::doubt('account', $first->id, $second->id, $identity->score, $identity->because);
                        }
                    }
                }
            }
        }
    }

    /** @param  list<string>  $because */
    public static function doubt(string $record, int $first, int $second, float $score, array $because): void
    {
        // What a person decided stays decided.
        Double::query()->firstOrCreate(
            ['record' => $record, 'first_id' => $first, 'second_id' => $second],
            ['score' => $score, 'because' => $because],
        );
    }

    public static function separate(Double $double, User $by): void
    {
        Double::query()->whereKey($double->id)->where('state', 'open')
            ->update(['state' => 'separate', 'user_id' => $by->id, 'updated_at' => now()]);
    }

    /** @return bool whether it was still open, and neither of the two was merged otherwise */
    public static function merge(Double $double, User $by): bool
    {
        return Together::write(function () use ($double, $by): bool {
            $double = Double::query()->lockForUpdate()->findOrFail($double->id);
            $table = $double->record.'s';
            [$kept, $merged] = [self::record($table, $double->first_id), self::record($table, $double->second_id)];
            if (
                $double->state !== 'open'
                || $kept === null
                || $merged === null
                || $kept->merged_into !== null
                || $merged->merged_into !== null
            ) {
                return false;
            }
            $moved = ['ids' => [], 'filled' => []];
            foreach (self::MOVES[$double->record] as $of => $columns) {
                foreach ($columns as $column) {
                    $moved['ids']["$of.$column"] = self::move($of, $column, $merged->id, $kept->id);
                }
            }
            foreach (self::UNIQUE[$double->record] as $of => $keys) {
                $column = $double->record.'_id';
                $taken = DB::table($of)->where($column, $kept->id)->get();
                $ids = DB::table($of)->where($column, $merged->id)
                    ->get()
                    ->reject(
                        fn (stdClass $row): bool => $taken->contains(
                            fn (stdClass $other): bool => array_filter(
                                $keys,
                                fn (string $key): bool => $other->$key !== $row->$key,
                            )
                                === [],
                        ),
                    )
                    ->pluck('id')
                    ->all();
                DB::table($of)->whereIn('id', $ids)->update([$column => $kept->id]);
                $moved['ids']["$of.$column"] = $ids;
            }
            $moved['belonging'] = Belongings::move($table, $merged->id, $kept->id);
            $fill = [];
            foreach (self::filled($double->record) as $field) {
                if (
                    ($kept->$field === null || $field === 'reading' && isset($fill['title']))
                    && $merged->$field !== null
                ) {
                    $fill[$field] = $merged->$field;
                    $moved['filled'][$field] = $kept->$field;
                }
            }
            DB::table($table)->where('id', $kept->id)->update($fill + ['updated_at' => now()]);
            DB::table($table)->where('id', $merged->id)->update(['merged_into' => $kept->id]);
            if ($double->record === 'account') {
                DB::table('standings')->where('account_id', $merged->id)->delete();
            }
            $double->update(['state' => 'same', 'moved' => $moved, 'user_id' => $by->id]);
            self::settle($double, $kept, $merged);

            return true;
        }, $double);
    }

    /** Puts the pair back to decide; a merge is taken apart. */
    public static function undo(Double $double): void
    {
        Together::write(function () use ($double): void {
            $double = Double::query()->lockForUpdate()->findOrFail($double->id);
            $table = $double->record.'s';
            if ($double->state === 'same') {
                foreach ($double->moved['ids'] ?? [] as $place => $ids) {
                    [$of, $column] = explode('.', $place);
                    DB::table($of)->whereIn('id', $ids)->where($column, $double->first_id)
                        ->update([$column => $double->second_id]);
                }
                Belongings::move($table, $double->first_id, $double->second_id, $double->moved['belonging'] ?? []);
                DB::table($table)->where('id', $double->second_id)->update(['merged_into' => null]);
                DB::table($table)->where('id', $double->first_id)
                    ->update(($double->moved['filled'] ?? []) + ['updated_at' => now()]);
            }
            $state = $double->state;
            $double->update(['state' => 'open', 'moved' => null, 'user_id' => null]);
            $first = self::record($table, $double->first_id);
            $second = self::record($table, $double->second_id);
            if ($state === 'same' && $first !== null && $second !== null) {
                self::settle($double, $first, $second);
            }
        }, $double);
    }

    private static function settle(Double $double, stdClass $first, stdClass $second): void
    {
        if ($double->record === 'account') {
            AccountIds::markStale([$first->id, $second->id]);
            (new CareerSignals)->refreshAt($first->id, $second->id);
        } else {
            AccountIds::markStale([$first->account_id, $second->account_id]);
            (new CareerSignals)->refresh([$first->id, $second->id]);
        }
    }

    private static function record(string $table, int $id): ?stdClass
    {
        $row = DB::table($table)->find($id);

        return $row instanceof stdClass ? $row : null;
    }

    /** @return list<int> */
    private static function move(string $table, string $column, int $from, int $to): array
    {
        $ids = array_values(DB::table($table)->where($column, $from)->pluck('id')->all());
        DB::table($table)->whereIn('id', $ids)->update([$column => $to]);

        return $ids;
    }

    private static function facts(stdClass $row): CompanyFacts
    {
        return new CompanyFacts($row->name, $row->domain, $row->country, $row->city);
    }
}
