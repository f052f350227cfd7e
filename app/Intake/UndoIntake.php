<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\CareerSignals;
use App\Finder\Indexes;
use App\Intake\Accounts\StoredAccounts;
use App\Lists\Belongings;
use App\Models\Intake;
use App\Models\IntakeState;
use App\Support\AccountIds;
use App\Support\Same;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Takes an intake back, newest change first, in transactions of their own so that it can be gone on with. */
final class UndoIntake
{
    private const BATCH = 100;

    private const TABLES = [
        'account' => 'accounts', 'contact' => 'contacts', 'signal' => 'signals',
        'customer_period' => 'customer_periods', 'channel' => 'channels', 'position' => 'positions',
        'relation' => 'relations', 'affiliation' => 'affiliations',
        'candidate' => 'candidates', 'candidate_deed' => 'candidate_deeds',
    ];

    /** What a person, or another file, may have added to a record; a record with such is kept. */
    private const BUILT_ON = [
        'account' => [
            'reasons' => 'account_id', 'approaches' => 'account_id', 'notes' => 'account_id',
            'contacts' => 'account_id', 'signals' => 'account_id', 'customer_periods' => 'account_id',
            'decisions' => 'account_id', 'keep_outs' => 'account_id',
        ],
        'contact' => [
            'reasons' => 'contact_id', 'approaches' => 'contact_id', 'signals' => 'contact_id', 'notes' => 'contact_id',
            'group_places' => 'contact_id', 'reservations' => 'contact_id', 'keep_outs' => 'contact_id',
        ],
        'candidate' => ['candidate_deeds' => 'candidate_id'],
    ];

    /** @var array<int> */
    private array $people = [];

    /** @var array<int> */
    private array $customers = [];

    /** @param  Closure(): mixed|null  $sign  given with each part, that it is still worked on */
    public function run(Intake $intake, ?Closure $sign = null): void
    {
        $intake->update(['state' => IntakeState::Undoing]);
        $kept = 0;
        do {
            $done = DB::transaction(function () use ($intake, $sign, &$kept): int {
                if ($sign !== null) {
                    $sign();
                }
                $changes = DB::table('intake_changes')->where('intake_id', $intake->id)->orderByDesc('id')
                    ->limit(self::BATCH)->get();
                foreach ($changes->where('before', '!==', null) as $change) {
                    $kept += $this->putBack($change);
                }
                foreach ($changes->whereNull('before')->groupBy('record') as $record => $created) {
                    $kept += $this->remove(
                        (string) $record,
                        $created
                            ->flatMap(
                                fn (stdClass $change): array => range(
                                    $change->record_id,
                                    $change->record_id + $change->count - 1,
                                ),
                            )
                            ->all(),
                    );
                }
                $this->settle();
                DB::table('intake_changes')->whereIn('id', $changes->pluck('id'))->delete();

                return $changes->count();
            });
        } while ($done > 0);
        self::forgetUnused();
        // Accounts that are gone cannot be hidden one by one: no change of theirs is left to tell of them.
        Indexes::forget();
        $intake->update([
            'state' => IntakeState::Undone, 'finished_at' => now(),
            'message' => match ($kept) {
                0 => null,
                1 => 'One record was kept, because it was changed or built on since.',
                default => "$kept records were kept, because they were changed or built on since.",
            },
        ]);
    }

    /** Labels that nobody decided on, and facts of one's own, that no account has any more. */
    private static function forgetUnused(): void
    {
        DB::table('industry_labels')->whereNull('code')
            ->whereNotIn('id', DB::table('account_industry')->whereNotNull('label_id')->select('label_id'))->delete();
        DB::table('attributes')->whereNotIn('id', DB::table('account_attribute')->select('attribute_id'))->delete();
    }

    /** @return int 1 where somebody changed the record since, so that it stays */
    private function putBack(stdClass $change): int
    {
        $table = self::TABLES[$change->record];
        $before = json_decode($change->before, true);
        $after = json_decode($change->after, true);
        $row = DB::table($table)->where('id', $change->record_id)->first();
        if ($row === null) {
            return 0;
        }
        $same = fn (string $field): bool => ! property_exists($row, $field)
                || Same::value($after[$field], $row->$field)
                || Same::value(json_decode((string) $row->$field, true), $after[$field]);
        $fields = array_filter($before, fn (string $field): bool => $same($field), ARRAY_FILTER_USE_KEY);
        if ($change->record === 'account') {
            (new StoredAccounts)->change($row->id, $fields);
        } elseif ($fields !== []) {
            DB::table($table)->where('id', $row->id)->update($fields);
            $this->remember($change->record, [$row->id]);
            $this->markStale($change->record, [$row->id]);
        }

        return count($fields) < count($before) ? 1 : 0;
    }

    /**
     * @param  array<int>  $ids
     * @return int how many stay
     */
    private function remove(string $record, array $ids): int
    {
        $all = count($ids);
        if ($record === 'account' || $record === 'contact') {
            // What follows from positions goes with them, and is no reason to stay.
            DB::table('signals')->where('derived', true)->whereIn($record.'_id', $ids)->delete();
        }
        foreach (self::BUILT_ON[$record] ?? [] as $table => $column) {
            $ids = array_values(
                array_diff($ids, DB::table($table)->whereIn($column, $ids)->distinct()->pluck($column)->all()),
            );
        }
        $this->markStale($record, $ids);
        $this->remember($record, $ids);
        DB::table(self::TABLES[$record])->whereIn('id', $ids)->delete();
        if ($record === 'account' || $record === 'contact') {
            Belongings::remove($record.'s', $ids);
        }
        DB::table('doubles')->where('record', $record)
            ->where(fn (Builder $either) => $either->whereIn('first_id', $ids)->orWhereIn('second_id', $ids))->delete();

        return $all - count($ids);
    }

    /**
     * Of whom, and where, signals that follow from positions may have changed.
     *
     * @param  array<int>  $ids
     */
    private function remember(string $record, array $ids): void
    {
        if ($record === 'contact') {
            array_push($this->people, ...$ids);
        } elseif ($record === 'position' || $record === 'signal') {
            array_push(
                $this->people,
                ...DB::table(self::TABLES[$record])->whereIn('id', $ids)->whereNotNull('contact_id')
                    ->pluck('contact_id')->all(),
            );
        } elseif ($record === 'customer_period') {
            array_push(
                $this->customers,
                ...DB::table('customer_periods')->whereIn('id', $ids)->pluck('account_id')->all(),
            );
        }
    }

    private function settle(): void
    {
        $derived = new CareerSignals;
        $derived->refresh($this->people);
        $derived->refreshAt(...$this->customers);
        $this->people = $this->customers = [];
    }

    /** @param  array<int>  $ids */
    private function markStale(string $record, array $ids): void
    {
        $contacts = fn (): Builder => DB::table('contacts')->whereIn(
            'id',
            DB::table(self::TABLES[$record])->whereIn('id', $ids)->select('contact_id'),
        );
        AccountIds::markStale(match ($record) {
            'account', 'candidate', 'candidate_deed' => [],
            'contact',
            'signal',
            'customer_period' => DB::table(self::TABLES[$record])->whereIn('id', $ids)->pluck('account_id')->all(),
            default => $contacts()->pluck('account_id')->all(),
        });
    }
}
