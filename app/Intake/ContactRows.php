<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\CareerSignals;
use App\Contacts\Doubles;
use App\Contacts\Fingerprints;
use App\Contacts\Titles;
use App\Intake\Contacts\ChannelReading;
use App\Intake\Contacts\ContactColumns;
use App\Intake\Contacts\ContactReading;
use App\Intake\Contacts\KnownContacts;
use App\Intake\Contacts\StoredContacts;
use App\Network\Acquaintance;
use App\Support\AccountIds;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\SameName;

/** Contacts: the same by profile, by an address together with the name, else by name within one account. */
final class ContactRows implements RowReader
{
    /** @var array<int, true>|null people of whom the file told before; null: not known yet, as after a stop */
    private ?array $told = null;

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
        return KnownContacts::isNamed($record)
            ? $record['domain'].'|'.KnownContacts::folded($record['first_name'], $record['last_name'])
            : $record['profile'] ?? KnownContacts::addresses($record)[0] ?? '';
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $records = self::named($records, $tally);
        $accounts = AccountIds::of([...$records, ...array_merge([], ...array_column($records, 'before'))])
            + array_column($records, 'account', 'domain');
        $known = new KnownContacts($records, $accounts);
        $records = $this->welcome($records, $accounts, $tally);
        $found = [];
        foreach ($records as $line => $record) {
            try {
                $found[$line] = $known->find($record, $accounts[$record['domain']]);
            } catch (WaitingRow $e) {
                $tally->waiting[$line] = $e->getMessage();
                unset($records[$line]);
            }
        }
        $this->told ??= self::toldBy($ledger->intake);
        $records = self::markShared($records, $known, $known->shared($records, $found), $ledger);
        $contacts = new StoredContacts($accounts, $this->titles);
        $new = $doubtful = $moved = $touched = $once = $more = $newcomers = [];
        foreach ($records as $line => $record) {
            $account = $accounts[$record['domain']];
            $id = $found[$line];
            if ($id === null ? self::isAmong($record, $newcomers) : isset($once[$id])) {
                // Two rows mean one person, in other words: the second meets what the first made of them.
                $more[$line] = $record;

                continue;
            }
            if ($id !== null) {
                $once[$id] = true;
            }
            $record['before'] = array_map(
                fn (array $position): array => ['account_id' => $accounts[$position['domain'] ?? ''] ?? null]
                    + $position,
                $record['before'],
            );
            if ($id === null) {
                $doubtful[] = $known->doubtful($record, $account);
                $new[] = [$account, $record];
                $newcomers += array_fill_keys(self::marks($record), $record);
                $touched[] = $account;

                continue;
            }
            $person = $known->people[$id];
            $record = $known->asThere($record, $id);
            $isLater = isset($this->told[$id]);
            $says = $isLater ? StoredContacts::contradictions($person, $account, $record) : [];
            if ($says !== []) {
                $tally->waiting[$line] = 'A row before it says otherwise of '
                    .trim("{$person['first_name']} {$person['last_name']}").': '.implode(', ', $says).'.';
            } elseif ($contacts->update($person, $account, $record, $ledger, $isLater)) {
                array_push($touched, $account, $person['account_id']);
                $moved[] = $id;
                $tally->updated++;
            } else {
                $tally->unchanged++;
            }
            $this->told[$id] = true;
        }
        $ids = $contacts->create($new, $ledger);
        foreach ($doubtful as $i => $doubt) {
            if ($doubt !== null) {
                Doubles::doubt('contact', $doubt[0], $ids[$i], 1.0, $doubt[1]);
            }
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
        $this->told += array_fill_keys($ids, true);
        if ($more !== []) {
            $tally->add($this->store($more, $ledger));
        }

        return $tally;
    }

    /**
     * What tells somebody who was not there before: their addresses, and their profile whatever the name.
     *
     * @param  array<string, mixed>  $record
     * @return list<string>
     */
    private static function marks(array $record): array
    {
        return array_values(array_filter([...KnownContacts::addresses($record), KnownContacts::profile(
            $record['profile'] ?? '',
        )]));
    }

    /**
     * @param  array<string, mixed>  $record
     * @param  array<string, array<string, mixed>>  $newcomers  by address and profile
     */
    private static function isAmong(array $record, array $newcomers): bool
    {
        foreach (self::marks($record) as $mark) {
            $other = $newcomers[$mark] ?? null;
            if (
                $other !== null
                && ($mark === KnownContacts::profile($record['profile'] ?? '') || SameName::of(
                    $record['first_name'], $record['last_name'], $other['first_name'], $other['last_name'],
                ) === SameName::Same)
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Records with name and account, also of people who are told by a profile or an address alone.
     *
     * @param  array<int, array<string, mixed>>  $records
     * @return array<int, array<string, mixed>>
     */
    private static function named(array $records, Tally $tally): array
    {
        foreach (
            KnownContacts::meant(
                array_filter($records, fn (array $record): bool => $record['is_short']),
            ) as $line => $person
        ) {
            if (is_string($person)) {
                $tally->rejected[$line] = $person;
                unset($records[$line]);

                continue;
            }
            $isNamed = KnownContacts::isNamed($records[$line]);
            $records[$line] = [
                'first_name' => $isNamed ? $records[$line]['first_name'] : $person->first_name,
                'last_name' => $isNamed ? $records[$line]['last_name'] : $person->last_name,
            ] + $records[$line];
            if ($records[$line]['domain'] === null || ! $isNamed) {
                // An account need not have a domain; what tells it apart from domains is the sign.
                $records[$line] = ['domain' => "#{$person->account_id}", 'account' => $person->account_id]
                    + $records[$line];
            }
        }

        return $records;
    }

    /**
     * Records of accounts that are there, and of people who have not asked to be erased.
     *
     * @param  array<int, array<string, mixed>>  $records
     * @param  array<string, int>  $accounts
     * @return array<int, array<string, mixed>>
     */
    private function welcome(array $records, array $accounts, Tally $tally): array
    {
        foreach ($records as $line => $record) {
            if (! isset($accounts[$record['domain']])) {
                $tally->rejected[$line] = AccountIds::unknown($record['domain']);
                unset($records[$line]);
            } elseif (
                $this->erased->isErased(
                    $record['domain'],
                    $record['first_name'],
                    $record['last_name'],
                    [...KnownContacts::addresses($record), $record['profile'] ?? null],
                )
            ) {
                $tally->rejected[$line] = 'This person asked to be erased, and is not brought in again.';
                unset($records[$line]);
            }
        }

        return $records;
    }

    /** @return array<int, true> whom an intake entered or changed so far */
    private static function toldBy(int $intake): array
    {
        $told = [];
        $rows = DB::table('intake_changes')->where('intake_id', $intake)->where('record', 'contact')
            ->get(['record_id', 'count']);
        foreach ($rows as $row) {
            $told += array_fill_keys(range($row->record_id, $row->record_id + $row->count - 1), true);
        }

        return $told;
    }

    /**
     * An address that several people have is none of theirs alone, whatever is stated of it.
     *
     * @param  array<int, array<string, mixed>>  $records
     * @param  list<string>  $addresses
     * @return array<int, array<string, mixed>>
     */
    private static function markShared(array $records, KnownContacts $known, array $addresses, Ledger $ledger): array
    {
        $shared = ['state' => 'shared'];
        foreach ($known->personal($addresses) as $channel) {
            DB::table('channels')->where('id', $channel->id)->update($shared);
            $ledger->changed('channel', $channel->id, ['state' => $channel->state], $shared);
            $channel->state = 'shared';
        }
        foreach ($records as $line => $record) {
            foreach ($record['channels'] as $at => $channel) {
                if (
                    $channel['type'] === 'email'
                    && in_array($channel['value'], $addresses, true)
                    && ! ChannelReading::isDead($channel['state'] ?? '')
                ) {
                    $records[$line]['channels'][$at]['state'] = 'shared';
                }
            }
        }

        return $records;
    }
}
