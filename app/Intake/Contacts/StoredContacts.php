<?php

declare(strict_types=1);

namespace App\Intake\Contacts;

use App\Contacts\Titles;
use App\Intake\Ledger;
use App\Support\Bulk;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyName;
use Luftig\Core\Person\SameName;
use Luftig\Core\Text\Fold;
use stdClass;

/** Contacts of some accounts as they lie in the tables: found again, changed, and entered by the thousand. */
final class StoredContacts
{
    public const FIELDS = [
        'first_name', 'last_name', 'title', 'about', 'interests', 'city', 'country', 'profile', 'source',
    ];

    /** @var array<int, stdClass> account → its country and headcount */
    private readonly array $about;

    /** @param  array<int|string, int>  $accounts */
    public function __construct(array $accounts, private readonly Titles $titles)
    {
        $this->about = DB::table('accounts')
            ->leftJoin('places', fn ($join) => $join->on('account_id', '=', 'accounts.id')->where('headquarters', true))
            ->whereIn('accounts.id', $accounts)->get(['accounts.id', 'headcount', 'country'])->keyBy('id')->all();
    }

    /**
     * @param  array<string, mixed>  $person  as it is there
     * @param  array<string, mixed>  $record
     */
    public function update(array $person, int $account, array $record, Ledger $ledger, bool $isLater): bool
    {
        if (! self::isFuller($record, $person, $isLater)) {
            unset($record['first_name'], $record['last_name']);
        }
        $changes = [
            $this->fields($person, $account, $record, $ledger),
            $this->channels($person, $record, $ledger),
            $this->affiliations($person, $record, $ledger),
            $this->newPositions($person, $account, $record, $ledger),
        ];

        return in_array(true, $changes, true);
    }

    /**
     * Their own fields; what a person set by hand stays.
     *
     * @param  array<string, mixed>  $person  as it is there
     * @param  array<string, mixed>  $record
     */
    private function fields(array $person, int $account, array $record, Ledger $ledger): bool
    {
        $byHand = json_decode($person['by_hand'] ?? '[]', true);
        $after = array_filter(
            ['account_id' => $account] + array_intersect_key($record, array_flip(self::FIELDS)),
            fn ($value, $field): bool => $field !== 'source'
                && $person[$field] !== $value
                && ! in_array($field, $byHand, true),
            ARRAY_FILTER_USE_BOTH,
        );
        if (isset($after['title']) || isset($after['account_id'])) {
            $reading = $this->reading($after['title'] ?? $person['title'], $account);
            if ($reading !== $person['reading']) {
                $after['reading'] = $reading;
            }
        }
        if ($after !== []) {
            DB::table('contacts')->where('id', $person['id'])->update($after + ['updated_at' => now()]);
            $ledger->changed('contact', $person['id'], array_intersect_key($person, $after), $after);
        }

        return $after !== [];
    }

    /**
     * Whether a name may stand in place of the one that is there: not one with initials, or with fewer names, and of a
     * file that told of the person before only a longer one.
     *
     * @param  array<string, mixed>  $record
     * @param  array<string, mixed>  $person  as it is there
     */
    private static function isFuller(array $record, array $person, bool $isLater): bool
    {
        $names = [$record['first_name'], $record['last_name']];
        $there = [$person['first_name'], $person['last_name']];
        $longer = mb_strlen(implode('', $names)) <=> mb_strlen(implode('', $there));

        return $longer > ($isLater ? 0 : -1) || SameName::of(...$names, ...$there) !== SameName::Same;
    }

    /**
     * What a record says otherwise than what is there.
     *
     * @param  array<string, mixed>  $person  as it is there
     * @param  array<string, mixed>  $record
     * @return list<string>
     */
    public static function contradictions(array $person, int $account, array $record): array
    {
        $fields = array_values(array_filter(
            array_diff(self::FIELDS, ['first_name', 'last_name', 'source']),
            fn (string $field): bool => isset($record[$field], $person[$field])
                && $record[$field] !== $person[$field],
        ));
        if ($person['account_id'] !== $account) {
            $fields[] = 'account';
        }
        $named = [$record['first_name'], $record['last_name'], $person['first_name'], $person['last_name']];
        if (SameName::of(...$named) !== SameName::Same) {
            $fields[] = 'name';
        }
        foreach ($record['channels'] as $channel) {
            $there = $person['channels'][$channel['type'].'|'.$channel['value']] ?? null;
            if ($there !== null && isset($channel['state']) && $there->state !== 'unknown'
                && ChannelReading::isChange($there->state, $channel['state'])) {
                $fields[] = 'state of the address';
            }
            if ($there?->active_at !== null && ($channel['active_at'] ?? $there->active_at) !== $there->active_at) {
                $fields[] = 'active on';
            }
        }
        foreach ($person['positions'] as $there) {
            $isOther = isset($record['since'], $there->since) && $record['since'] !== $there->since;
            if ($there->until === null && $isOther) {
                $fields[] = 'in the position since';
            }
        }

        return $fields;
    }

    /**
     * Ways to reach them that are new, or whose state is.
     *
     * @param  array<string, mixed>  $person  as it is there
     * @param  array<string, mixed>  $record
     */
    private function channels(array $person, array $record, Ledger $ledger): bool
    {
        $changed = false;
        foreach ($record['channels'] as $channel) {
            $there = $person['channels'][$channel['type'].'|'.$channel['value']] ?? null;
            if ($there === null) {
                $ledger->created('channel', [
                    DB::table('channels')->insertGetId(['contact_id' => $person['id']] + $channel),
                ]);
                $changed = true;
            } elseif (
                isset($channel['state']) && ChannelReading::isChange($there->state, $channel['state'])
                || $there->active_at !== ($channel['active_at'] ?? $there->active_at)
            ) {
                $fields = array_intersect_key($channel, array_flip(['state', 'active_at']));
                DB::table('channels')->where('id', $there->id)->update($fields);
                $ledger->changed('channel', $there->id, array_intersect_key((array) $there, $fields), $fields);
                $changed = true;
            }
        }

        return $changed;
    }

    /**
     * What they share with others besides positions.
     *
     * @param  array<string, mixed>  $person  as it is there
     * @param  array<string, mixed>  $record
     */
    private function affiliations(array $person, array $record, Ledger $ledger): bool
    {
        $changed = false;
        $said = [];
        foreach ($record['affiliations'] as [$kind, $name]) {
            $said += [self::affiliation($kind, $name) => [$kind, $name]];
        }
        foreach ($said as [$kind, $name]) {
            if (! isset($person['affiliations'][self::affiliation($kind, $name)])) {
                $ledger->created('affiliation', [
                    DB::table('affiliations')
                        ->insertGetId(['contact_id' => $person['id'], 'kind' => $kind, 'name' => $name]),
                ]);
                $changed = true;
            }
        }

        return $changed;
    }

    /** What is one however it is written: the base tells neither letters nor accents apart. */
    public static function affiliation(string $kind, string $name): string
    {
        return $kind.'|'.Fold::letters($name);
    }

    /**
     * Positions that are not known yet; a new present one ends those before.
     *
     * @param  array<string, mixed>  $person  as it is there
     * @param  array<string, mixed>  $record
     */
    private function newPositions(array $person, int $account, array $record, Ledger $ledger): bool
    {
        $changed = false;
        $byHand = json_decode($person['by_hand'] ?? '[]', true);
        foreach (
            $this->positions(
                $account,
                in_array('title', $byHand, true) ? array_diff_key($record, ['title' => 0]) : $record,
            ) as $position
        ) {
            $same = array_filter(
                $person['positions'],
                fn (stdClass $there): bool => $there->title === $position['title'] && (
                    $there->account_id === $position['account_id'] && $position['account_id'] !== null
                    || $there->company === $position['company']
                ),
            );
            $known = array_filter(
                $same,
                fn (stdClass $there): bool => $position['since'] === null || $there->since === $position['since'],
            );
            $undated = array_filter($same, fn (stdClass $there): bool => $there->since === null
                && ($there->until === null) === ($position['until'] === null));
            if ($known === [] && $undated !== []) {
                $changed = $this->date(reset($undated), $position, $ledger) || $changed;
            } elseif ($known === []) {
                if ($position['until'] === null) {
                    $this->endPresent($person, $position['since'] ?? now()->toDateString(), $ledger);
                }
                $ledger->created('position', [
                    DB::table('positions')->insertGetId(['contact_id' => $person['id']] + $position),
                ]);
                $changed = true;
            }
        }

        return $changed;
    }

    /**
     * A position of which nobody knew since when.
     *
     * @param  array<string, mixed>  $position
     */
    private function date(stdClass $there, array $position, Ledger $ledger): bool
    {
        $after = ['since' => $position['since'], 'until' => $position['until'] ?? $there->until];
        $before = ['since' => $there->since, 'until' => $there->until];
        DB::table('positions')->where('id', $there->id)->update($after);
        $ledger->changed('position', $there->id, $before, $after);
        [$there->since, $there->until] = [$after['since'], $after['until']];

        return true;
    }

    /** @param  array<string, mixed>  $person  as it is there */
    private function endPresent(array $person, string $until, Ledger $ledger): void
    {
        foreach ($person['positions'] as $there) {
            if ($there->until === null) {
                DB::table('positions')->where('id', $there->id)->update(['until' => $until]);
                $ledger->changed('position', $there->id, ['until' => null], ['until' => $until]);
                $there->until = $until;
            }
        }
    }

    /**
     * @param  list<array{int, array<string, mixed>}>  $new  account and record
     * @return list<int>
     */
    public function create(array $new, Ledger $ledger): array
    {
        $now = now()->toDateTimeString();
        $rows = array_map(
            fn (array $entry): array => [
                $entry[0], $this->reading($entry[1]['title'] ?? null, $entry[0]),
                ...array_map(fn (string $field) => $entry[1][$field] ?? null, self::FIELDS), $now, $now, $now,
            ],
            $new,
        );
        $ids = Bulk::insert(
            'contacts',
            ['account_id', 'reading', ...self::FIELDS, 'seen_at', 'created_at', 'updated_at'],
            $rows,
        );
        $channels = $positions = $affiliations = [];
        foreach ($new as $i => [$account, $record]) {
            foreach ($record['affiliations'] as [$kind, $name]) {
                $affiliations[$i.self::affiliation($kind, $name)] = [$ids[$i], $kind, $name];
            }
            foreach ($record['channels'] as $channel) {
                $channels[] = [
                    $ids[$i], $channel['type'], $channel['value'], $channel['state'] ?? 'unknown',
                    $channel['active_at'] ?? null,
                ];
            }
            foreach ($this->positions($account, $record) as $position) {
                $positions[] = [$ids[$i], ...array_values($position)];
            }
        }
        Bulk::insert('channels', ['contact_id', 'type', 'value', 'state', 'active_at'], $channels);
        Bulk::insert(
            'positions',
            ['contact_id', 'account_id', 'company', 'company_key', 'title', 'reading', 'since', 'until'],
            $positions,
        );
        Bulk::insert('affiliations', ['contact_id', 'kind', 'name'], array_values($affiliations));
        $ledger->created('contact', $ids);

        return $ids;
    }

    /**
     * @param  array<string, mixed>  $record
     * @return list<array<string, mixed>>
     */
    private function positions(int $account, array $record): array
    {
        $positions = isset($record['title'])
            ? [[
                'account_id' => $account, 'company' => null, 'company_key' => null, 'title' => $record['title'],
                'reading' => $this->reading($record['title'], $account), 'since' => $record['since'], 'until' => null,
            ]]
            : [];
        foreach ($record['before'] as $position) {
            $positions[] = [
                'account_id' => $position['account_id'] ?? null,
                'company' => $position['company'],
                'company_key' => $position['company'] === null ? null : CompanyName::of($position['company'])->key(),
                'title' => $position['title'],
                'reading' => $this->reading($position['title'], $position['account_id'] ?? $account),
                'since' => $position['since'], 'until' => $position['until'],
            ];
        }

        return $positions;
    }

    /** What a title says at an account. */
    private function reading(?string $title, int $account): int
    {
        return $this->titles
            ->read($title, $this->about[$account]->country ?? null, $this->about[$account]->headcount ?? null);
    }
}
