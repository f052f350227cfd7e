<?php

declare(strict_types=1);

namespace App\Intake\Contacts;

use App\Intake\WaitingRow;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\SameName;
use Luftig\Core\Text\Fold;
use Normalizer;
use stdClass;

/** Those of the people that are there whom some records may be, and which of them each record is. */
final class KnownContacts
{
    /** @var array<int, array<string, mixed>> by id, with their channels, positions and affiliations */
    public readonly array $people;

    /** @var array<string, int> */
    private array $byProfile = [];

    /** @var array<string, list<int>> by account and name */
    private array $byName = [];

    /** @var array<string, list<int>> who has an address */
    private array $holders = [];

    /**
     * @param  array<int, array<string, mixed>>  $records
     * @param  array<string, int>  $accounts
     */
    public function __construct(array $records, array $accounts)
    {
        $addresses = array_merge([], ...array_map(self::addresses(...), array_values($records)));
        foreach (
            DB::table('channels')->join('contacts', 'contacts.id', '=', 'contact_id')->where('type', 'email')
                ->whereIn('value', $addresses)->selectRaw('COALESCE(merged_into, contacts.id) AS id, value')
                ->distinct()->get() as $row
        ) {
            $this->holders[$row->value][] = $row->id;
        }
        $people = [];
        foreach (
            DB::table('contacts')->whereIn('account_id', $accounts)
                ->orWhereIn('profile', array_filter(array_column($records, 'profile')))
                ->orWhereIn('id', array_merge([], ...array_values($this->holders)))
                ->get(['id', 'account_id', 'merged_into', 'by_hand', 'reading', ...StoredContacts::FIELDS]) as $row
        ) {
            $people[$row->id] = (array) $row + ['channels' => [], 'positions' => [], 'affiliations' => []];
            if ($row->merged_into === null) {
                $this->byName[$row->account_id.'|'.self::folded($row->first_name, $row->last_name)][] = $row->id;
                if ($row->profile !== null) {
                    $this->byProfile[self::profile($row->profile)] = $row->id;
                }
            }
        }
        foreach (DB::table('channels')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['channels'][$row->type.'|'.$row->value] = $row;
        }
        foreach (DB::table('affiliations')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['affiliations'][StoredContacts::affiliation($row->kind, $row->name)] = true;
        }
        foreach (DB::table('positions')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['positions'][] = $row;
        }
        $this->people = $people;
    }

    /** @param  array<string, mixed>  $record */
    public static function isNamed(array $record): bool
    {
        return $record['first_name'] !== '' || $record['last_name'] !== '';
    }

    /**
     * Of whom records are that have no name, or tell no account: by profile, else by an address that one person has.
     *
     * @param  array<int, array<string, mixed>>  $records  by line
     * @return array<int, stdClass|string> by line; a sentence where it cannot be told
     */
    public static function meant(array $records): array
    {
        $columns = ['contacts.id', 'account_id', 'first_name', 'last_name'];
        $people = DB::table('contacts')->whereNull('merged_into');
        $byProfile = (clone $people)->whereIn('profile', array_filter(array_column($records, 'profile')))
            ->get(['profile', ...$columns])->keyBy(fn (stdClass $one): string => self::profile($one->profile));
        $byAddress = (clone $people)->join('channels', 'contact_id', '=', 'contacts.id')->where('type', 'email')
            ->whereIn('value', array_merge([], ...array_map(self::addresses(...), array_values($records))))
            ->get(['value', ...$columns])->groupBy('value');
        $meant = [];
        foreach ($records as $line => $record) {
            $found = $byProfile[self::profile($record['profile'] ?? '')] ?? null;
            $holders = $found === null ? collect(self::addresses($record))
                ->flatMap(fn (string $address): iterable => $byAddress[$address] ?? [])->unique('id') : collect();
            $meant[$line] = $found ?? match ($holders->count()) {
                1 => $holders->first(),
                0 => 'Nobody here has this '.(isset($record['profile']) ? 'profile' : 'address')
                    .'; of somebody new the name and the domain of the account are needed.',
                default => 'Several people have this address; a name or a profile would tell whose row it is.',
            };
        }

        return $meant;
    }

    /**
     * The one a record is of: by profile, else by an address together with the name, else by name at one account.
     *
     * @param  array<string, mixed>  $record
     *
     * @throws WaitingRow where it may be several
     */
    public function find(array $record, int $account): ?int
    {
        $byProfile = $this->byProfile[self::profile($record['profile'] ?? '')] ?? null;
        if ($byProfile !== null) {
            if ($this->name($record, $byProfile) === SameName::Other) {
                throw new WaitingRow("The profile is that of {$this->called($byProfile)}, whose name is another.");
            }

            return $byProfile;
        }
        $holder = $this->holder($record, $account);
        if ($holder !== null) {
            return $holder;
        }
        $namesakes = array_values(array_filter(
            $this->namesakes($record, $account),
            fn (int $id): bool => ! self::isToldApart($record, $this->people[$id]),
        ));
        if (count($namesakes) > 1) {
            throw new WaitingRow(
                count($namesakes).' people of this name are at the account; an address or a profile would tell which.',
            );
        }

        return $namesakes[0] ?? null;
    }

    /**
     * Who has one of its addresses and its name; of several the one who is called just so, and at the account.
     *
     * @param  array<string, mixed>  $record
     */
    private function holder(array $record, int $account): ?int
    {
        $same = array_values(array_filter(
            array_merge([], ...array_map(
                fn (string $address): array => $this->holders[$address] ?? [],
                self::addresses($record),
            )),
            fn (int $holder): bool => $this->name($record, $holder) === SameName::Same,
        ));
        $name = self::folded($record['first_name'], $record['last_name']);
        $order = array_map(fn (int $id): array => [
            self::folded($this->people[$id]['first_name'], $this->people[$id]['last_name']) !== $name,
            $this->people[$id]['account_id'] !== $account,
        ], $same);
        array_multisort($order, $same);

        return $same[0] ?? null;
    }

    /**
     * A record of somebody, with their profile written as it is there: large and small letters make no other.
     *
     * @param  array<string, mixed>  $record
     * @return array<string, mixed>
     */
    public function asThere(array $record, int $id): array
    {
        $there = $this->people[$id]['profile'];
        if (! isset($record['profile'], $there) || self::profile($record['profile']) !== self::profile($there)) {
            return $record;
        }
        foreach ($record['channels'] as $at => $channel) {
            if ($channel['value'] === $record['profile']) {
                $record['channels'][$at]['value'] = $there;
            }
        }

        return ['profile' => $there] + $record;
    }

    /**
     * Who, of others than the record's own, may all the same be the one it is of; null where nobody.
     *
     * @param  array<string, mixed>  $record
     * @return array{int, list<string>}|null with what speaks for it and against it
     */
    public function doubtful(array $record, int $account): ?array
    {
        foreach ($this->namesakes($record, $account) as $namesake) {
            return [$namesake, ['Both have the same name and are at the same account.', 'Their addresses differ.']];
        }
        foreach (self::addresses($record) as $address) {
            foreach ($this->holders[$address] ?? [] as $holder) {
                if ($this->name($record, $holder) === SameName::Doubtful) {
                    return [$holder, ['Both have one address.', 'One of their two names is another.']];
                }
            }
        }

        return null;
    }

    /**
     * Addresses of which several have one, of those that are there and those that come.
     *
     * @param  array<int, array<string, mixed>>  $records
     * @param  array<int, int|null>  $found  line → who that is
     * @return list<string>
     */
    public function shared(array $records, array $found): array
    {
        $names = [];
        foreach ($this->holders as $address => $holders) {
            foreach ($holders as $id) {
                $names[$address][$id] = [$this->people[$id]['first_name'], $this->people[$id]['last_name']];
            }
        }
        foreach ($records as $line => $record) {
            foreach (self::addresses($record) as $address) {
                $names[$address][$found[$line] ?? "line $line"] = [$record['first_name'], $record['last_name']];
            }
        }

        return array_keys(array_filter($names, function (array $names): bool {
            $first = array_shift($names);

            return array_filter(
                $names,
                fn (array $name): bool => SameName::of(...$first, ...$name) !== SameName::Same,
            ) !== [];
        }));
    }

    /**
     * @param  list<string>  $addresses
     * @return list<stdClass> channels with these addresses that are not known to be shared
     */
    public function personal(array $addresses): array
    {
        $channels = [];
        foreach ($addresses as $address) {
            foreach ($this->holders[$address] ?? [] as $holder) {
                $channel = $this->people[$holder]['channels']['email|'.$address] ?? null;
                if ($channel !== null && $channel->state !== 'shared' && ! ChannelReading::isDead($channel->state)) {
                    $channels[] = $channel;
                }
            }
        }

        return $channels;
    }

    /**
     * @param  array<string, mixed>  $record
     * @return list<string>
     */
    public static function addresses(array $record): array
    {
        return array_column(
            array_filter($record['channels'], fn (array $channel): bool => $channel['type'] === 'email'),
            'value',
        );
    }

    /** What is one profile, however it is written: in large or small letters, with one sign or two for an accent. */
    public static function profile(string $address): string
    {
        return mb_strtolower((string) Normalizer::normalize($address));
    }

    public static function folded(string $first, string $last): string
    {
        return implode(' ', Fold::words($first.' '.$last));
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
        $personal = array_column(array_filter(
            $record['channels'],
            fn (array $channel): bool => $channel['type'] === 'email' && ($channel['state'] ?? '') !== 'shared',
        ), 'value');

        return $personal !== [] && $own !== [] && array_intersect($personal, $own) === []
            || isset($record['profile'], $person['profile'])
                && self::profile($record['profile']) !== self::profile($person['profile']);
    }

    /**
     * @param  array<string, mixed>  $record
     * @return list<int>
     */
    private function namesakes(array $record, int $account): array
    {
        return $this->byName[$account.'|'.self::folded($record['first_name'], $record['last_name'])] ?? [];
    }

    /** @param  array<string, mixed>  $record */
    private function name(array $record, int $id): SameName
    {
        $person = $this->people[$id];

        return SameName::of($record['first_name'], $record['last_name'], $person['first_name'], $person['last_name']);
    }

    private function called(int $id): string
    {
        return trim($this->people[$id]['first_name'].' '.$this->people[$id]['last_name']);
    }
}
