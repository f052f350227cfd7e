<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Accounts\AccountColumns;
use App\Intake\Accounts\AccountReading;
use App\Intake\Accounts\Sites;
use App\Intake\Accounts\StoredAccounts;
use App\Intake\Accounts\Whereabouts;
use App\Support\TechnologyIds;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyName;

/** Accounts: joined by domain, blank cells change nothing. */
final class AccountRows implements RowReader
{
    public const NO_WEBSITE = 'No website tells which account this is. Write its domain into the row, and bring the '
        .'row again.';

    private const REVENUE = ['revenue_given', 'revenue_amount', 'revenue_currency'];

    public function __construct(
        private readonly Whereabouts $whereabouts = new Whereabouts,
        private readonly IndustryLabels $labels = new IndustryLabels,
        private readonly TechnologyIds $technologies = new TechnologyIds,
        private readonly StoredAccounts $accounts = new StoredAccounts,
    ) {
    }

    public static function columns(): array
    {
        return AccountColumns::all();
    }

    public function read(Cells $row): array
    {
        return AccountReading::of($row);
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return $record['domain'] ?? 'without '.CompanyName::of($record['name'])->key();
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        foreach (array_keys(array_filter($records, fn (array $record): bool => $record['domain'] === null)) as $line) {
            $tally->waiting[$line] = self::NO_WEBSITE;
            unset($records[$line]);
        }
        $there = $this->accounts->of(array_column($records, 'domain'));
        $new = $changed = [];
        foreach ($records as $line => $record) {
            $facts = $this->facts($record);
            $existing = $there[$record['domain']] ?? null;
            if ($existing === null) {
                if (! isset($record['name'])) {
                    $tally->rejected[$line] = 'The name is missing, and no account has this domain yet.';

                    continue;
                }
                $new[] = ['domain' => $record['domain']] + $facts;

                continue;
            }
            if (isset($changed[$existing['id']])) {
                // Two rows of one batch mean this account, one of them by the domain of an account that was merged into
                // it.
                $existing = $this->accounts->of([$record['domain']])[$record['domain']];
            }
            if ($existing['domain'] !== $record['domain']) {
                // What was merged in keeps telling of the account, but no longer what it is called.
                unset($facts['name']);
            }
            $facts = array_diff_key($facts, self::settled($existing['by_hand']));
            $after = self::changes(Sites::apart($facts, $existing, $record['is_later'] === true), $existing);
            $doubt = $record['is_later'] === true ? self::doubt($after, $existing) : null;
            if ($doubt !== null) {
                $tally->waiting[$line] = $doubt;
            } elseif ($after === []) {
                $tally->unchanged++;
            } else {
                $this->accounts->change($existing['id'], $after);
                $changed[$existing['id']] = true;
                $before = array_map(fn (string $field): mixed => $existing[$field] ?? null, array_keys($after));
                $ledger->changed('account', $existing['id'], array_combine(array_keys($after), $before), $after);
                $tally->updated++;
            }
        }
        $ids = $this->accounts->create($new);
        $ledger->created('account', $ids);
        $tally->created = count($ids);
        $this->joinParents($records, $ledger);

        return $tally;
    }

    /**
     * One account as somebody sets it by hand: what is blank stays as it is, what is said holds, also of the
     * headquarters; one without a website is told from others only by a person.
     *
     * @param  int|null  $id  null: it is new
     * @param  array<string, mixed>  $record
     * @return int id
     */
    public function set(?int $id, array $record, Ledger $ledger): int
    {
        $facts = $this->facts($record);
        $said = array_values(array_diff(array_keys($facts), ['source', 'extras']));
        if ($id === null) {
            $id = $this->enter($record, $ledger);
            $this->accounts->change($id, ['by_hand' => $said]);

            return $id;
        }
        $existing = $this->accounts->byId([$id])[$id];
        if (isset($facts['place'])) {
            $facts['place'] = Whereabouts::comparable($facts['place'] + ($existing['place'] ?? []));
        }
        if (isset($facts['other_places'])) {
            $facts = ['other_places' => Sites::with($existing['other_places'] ?? [], $facts['other_places'])] + $facts;
        }
        if ($existing['domain'] === null && $record['domain'] !== null) {
            $facts['domain'] = $record['domain'];
        }
        $after = self::changes($facts, $existing);
        if (array_key_exists('status', $record) && $record['status'] === null && $existing['status'] !== null) {
            $after['status'] = null;
        }
        if ($after !== []) {
            $after['by_hand'] = array_values(array_unique([...$existing['by_hand'], ...$said]));
            $this->accounts->change($id, $after);
            $before = array_map(fn (string $field): mixed => $existing[$field] ?? null, array_keys($after));
            $ledger->changed('account', $id, array_combine(array_keys($after), $before), $after);
        }
        $this->joinParents([$record], $ledger);

        return $id;
    }

    /**
     * A new account, also one without a website, which is another than all there are until a person says otherwise.
     *
     * @param  array<string, mixed>  $record
     * @return int id
     */
    public function enter(array $record, Ledger $ledger): int
    {
        $ids = $this->accounts->create([['domain' => $record['domain']] + $this->facts($record)]);
        $ledger->created('account', $ids);
        $this->joinParents([$record], $ledger);

        return $ids[0];
    }

    /**
     * What was set by hand, with what says how it was written; no file changes it.
     *
     * @param  list<string>  $byHand
     * @return array<string, int> by field
     */
    private static function settled(array $byHand): array
    {
        $settled = array_flip($byHand);
        foreach (['headcount' => ['headcount_given'], 'revenue' => self::REVENUE] as $field => $others) {
            $settled += isset($settled[$field]) ? array_flip($others) : [];
        }

        return $settled;
    }

    /**
     * What a later row of a file says otherwise than a row before it did: that is for somebody to decide. It may add.
     *
     * @param  array<string, mixed>  $after
     * @param  array<string, mixed>  $existing
     */
    private static function doubt(array $after, array $existing): ?string
    {
        $adds = ['place' => 0, 'other_places' => 0, 'extras' => 0];
        $other = array_filter(
            array_diff_key($after, $adds),
            fn (string $field): bool => ($existing[$field] ?? null) !== null,
            ARRAY_FILTER_USE_KEY,
        );
        if (isset($other['name'])) {
            return "The row calls {$existing['domain']} “{$other['name']}”, a row before it “{$existing['name']}”.";
        }
        foreach (['place', 'extras'] as $parts) {
            $other += array_filter(
                $after[$parts] ?? [],
                fn (mixed $value, string $part): bool => isset($existing[$parts][$part])
                    && $existing[$parts][$part] !== $value,
                ARRAY_FILTER_USE_BOTH,
            );
        }
        $fields = array_map(
            fn (string $field): string => str_replace('_', ' ', $field),
            array_keys(array_diff_key($other, ['revenue' => 0, 'revenue_given' => 0, 'headcount_given' => 0])),
        );

        return $fields === []
            ? null
            : "A row before it says otherwise of {$existing['domain']}: ".implode(', ', $fields).'.';
    }

    /**
     * What of the facts differs from what is there. Extra attributes, and parts of a place, add to those known.
     *
     * @param  array<string, mixed>  $facts
     * @param  array<string, mixed>  $existing
     * @return array<string, mixed>
     */
    private static function changes(array $facts, array $existing): array
    {
        if (isset($facts['extras'])) {
            $facts['extras'] += $existing['extras'] ?? [];
            ksort($facts['extras']);
        }

        return array_filter(
            array_diff_key($facts, ['source' => 0]),
            fn (mixed $value, string $field): bool => ($existing[$field] ?? null) !== $value,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * The record as it is compared and stored.
     *
     * @param  array<string, mixed>  $record
     * @return array<string, mixed>
     */
    private function facts(array $record): array
    {
        $facts = array_intersect_key($record, array_flip(StoredAccounts::scalars()));
        if (isset($record['industries'])) {
            $facts['industries'] = array_values(array_filter(
                array_map($this->labels->read(...), $record['industries']),
                fn (array $read): bool => $read !== [null, null],
            ));
        }
        if (isset($record['technologies'])) {
            $facts['technologies'] = array_values(array_unique(
                array_map($this->technologies->of(...), $record['technologies']),
            ));
            sort($facts['technologies']);
        }
        if (isset($record['place'])) {
            $facts['place'] = $this->whereabouts->located($record['place']);
        }
        if (isset($record['other_sites'])) {
            $home = $record['place']['country'] ?? null;
            $facts['other_places'] = array_map(
                fn (string $site): array => $this->whereabouts->site($site, $home),
                $record['other_sites'],
            );
        }
        if (isset($record['extras'])) {
            $facts['extras'] = $this->accounts->asNamed($record['extras']);
            ksort($facts['extras']);
        }

        return $facts;
    }

    /** @param  array<int, array<string, mixed>>  $records */
    private function joinParents(array $records, Ledger $ledger): void
    {
        $parents = array_filter(array_column($records, 'parent', 'domain'));
        if ($parents === []) {
            return;
        }
        $ids = DB::table('accounts')->whereIn('domain', [...array_keys($parents), ...array_values($parents)])
            ->get(['id', 'domain', 'parent_id'])->keyBy('domain');
        foreach ($parents as $domain => $parent) {
            $child = $ids[$domain] ?? null;
            $parentId = $ids[$parent]->id ?? null;
            if ($child !== null && $parentId !== null && $child->parent_id !== $parentId) {
                $this->accounts->change($child->id, ['parent_id' => $parentId]);
                $ledger->changed('account', $child->id, ['parent_id' => $child->parent_id], ['parent_id' => $parentId]);
            }
        }
    }
}
