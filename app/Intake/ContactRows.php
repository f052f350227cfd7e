<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\CareerSignals;
use App\Contacts\Doubles;
use App\Contacts\Fingerprints;
use App\Contacts\Titles;
use App\Intake\Contacts\ContactColumns;
use App\Intake\Contacts\ContactReading;
use App\Intake\Contacts\StoredContacts;
use App\Network\Acquaintance;
use App\Support\AccountIds;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Text\Fold;
use stdClass;

/** Contacts: the same by personal address or profile, else by name within one account. */
final class ContactRows implements RowReader
{
    public function __construct(
        private readonly Titles $titles = new Titles,
        private readonly Fingerprints $erased = new Fingerprints,
    ) {
    }

    public static function columns(): array
    {
        return ContactColumns::all();
    }

    public function read(Cells $row): array
    {
        return ContactReading::of($row);
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return $record['domain'].'|'.self::folded($record['first_name'], $record['last_name']);
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $accounts = AccountIds::of([...$records, ...array_merge([], ...array_column($records, 'before'))]);
        $contacts = new StoredContacts($accounts, $this->titles);
        [$byProfile, $byAddress, $byName, $people] = $this->there($records, $accounts);
        $new = $doubtful = $moved = [];
        $touched = [];
        foreach ($records as $line => $record) {
            $account = $accounts[$record['domain']] ?? null;
            if ($account === null) {
                $tally->rejected[$line] = AccountIds::unknown($record['domain']);

                continue;
            }
            $address = self::personalAddress($record);
            if (
                $this->erased->isErased(
                    $record['domain'],
                    $record['first_name'],
                    $record['last_name'],
                    [$address, $record['profile'] ?? null],
                )
            ) {
                $tally->rejected[$line] = 'This person asked to be erased, and is not brought in again.';

                continue;
            }
            $record['before'] = array_map(
                fn (array $position): array => ['account_id' => $accounts[$position['domain'] ?? ''] ?? null]
                    + $position,
                $record['before'],
            );
            $id = $byProfile[$record['profile'] ?? ''] ?? $byAddress[$address ?? ''] ?? null;
            $namesake = $id === null
                ? $byName[$account.'|'.self::folded($record['first_name'], $record['last_name'])] ?? null
                : null;
            if ($namesake !== null && ! self::isToldApart($record, $people[$namesake])) {
                $id = $namesake;
            }
            if ($id === null) {
                if ($namesake !== null) {
                    $doubtful[count($new)] = $namesake;
                }
                $new[] = [$account, $record];
                $touched[] = $account;

                continue;
            }
            if ($contacts->update($people[$id], $account, $record, $ledger)) {
                array_push($touched, $account, $people[$id]['account_id']);
                $moved[] = $id;
                $tally->updated++;
            } else {
                $tally->unchanged++;
            }
        }
        $ids = $contacts->create($new, $ledger);
        foreach ($doubtful as $i => $namesake) {
            Doubles::doubt(
                'contact',
                $namesake,
                $ids[$i],
                1.0,
                ['Both have the same name and are at the same account.', 'Their addresses differ.'],
            );
        }
        foreach ($new as $i => [, $record]) {
            if ($record['before'] !== []) {
                $moved[] = $ids[$i];
            }
        }
        (new CareerSignals)->refresh($moved);
        if ($ids !== []) {
            Acquaintance::tie();
        }
        $tally->created = count($ids);
        AccountIds::markStale($touched);

        return $tally;
    }

    /**
     * @param  array<int, array<string, mixed>>  $records
     * @param  array<string, int>  $accounts
     * @return array{array<string, int>, array<string, int>, array<string, int>, array<int, array<string, mixed>>}
     */
    private function there(array $records, array $accounts): array
    {
        $profiles = array_filter(array_column($records, 'profile'));
        $addresses = array_filter(array_map(self::personalAddress(...), $records));
        $byAddress = DB::table('channels')->join('contacts', 'contacts.id', '=', 'contact_id')->where('type', 'email')
            ->where('state', '<>', 'shared')->whereIn('value', $addresses)
            ->selectRaw('COALESCE(merged_into, contacts.id) AS id, value')->pluck('id', 'value')->all();
        $people = [];
        $byProfile = $byName = [];
        $rows = DB::table('contacts')->whereIn('account_id', $accounts)->orWhereIn('profile', $profiles)
            ->orWhereIn('id', $byAddress)
            ->get(['id', 'account_id', 'merged_into', 'by_hand', 'reading', ...StoredContacts::FIELDS]);
        foreach ($rows as $row) {
            $people[$row->id] = (array) $row + ['channels' => [], 'positions' => [], 'affiliations' => []];
            if ($row->merged_into !== null) {
                continue;
            }
            $byName[$row->account_id.'|'.self::folded($row->first_name, $row->last_name)] = $row->id;
            if ($row->profile !== null) {
                $byProfile[$row->profile] = $row->id;
            }
        }
        foreach (DB::table('channels')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['channels'][$row->type.'|'.$row->value] = $row;
        }
        foreach (DB::table('affiliations')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['affiliations'][$row->kind.'|'.mb_strtolower($row->name)] = true;
        }
        foreach (DB::table('positions')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['positions'][] = $row;
        }

        return [$byProfile, $byAddress, $byName, $people];
    }

    /**
     * Two people of one name at one account, by their addresses.
     *
     * @param  array<string, mixed>  $record
     * @param  array<string, mixed>  $person  as it is there
     */
    private static function isToldApart(array $record, array $person): bool
    {
        $own = array_map(fn (stdClass $channel): string => $channel->value, array_filter(
            $person['channels'],
            fn (stdClass $channel): bool => $channel->type === 'email' && $channel->state !== 'shared',
        ));
        $address = self::personalAddress($record);

        return $address !== null && $own !== [] && ! in_array($address, $own, true)
            || isset($record['profile'], $person['profile']) && $record['profile'] !== $person['profile'];
    }

    /** @param  array<string, mixed>  $record */
    private static function personalAddress(array $record): ?string
    {
        foreach ($record['channels'] as $channel) {
            if ($channel['type'] === 'email' && ($channel['state'] ?? '') !== 'shared') {
                return $channel['value'];
            }
        }

        return null;
    }

    private static function folded(string $first, string $last): string
    {
        return implode(' ', Fold::words($first.' '.$last));
    }
}
