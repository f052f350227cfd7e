<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Position;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Reach\Spans;

/**
 * Whom contacts reach through each other in so many steps: those who held positions at one company at the same time,
 * and those who share a school or an association. Each place is looked at once for all who were there, since there may
 * be thousands of them.
 */
final class AcquaintanceSpread
{
    private const CHUNK = 2000;

    private const MANY = 20_000;

    private const WINDOW = 50_000;

    /** @var array<int, true> */
    private array $seen;

    /** @var array<string, true> schools and associations, all of whose people are seen */
    private array $circles = [];

    private readonly int $today;

    /** @param  list<int>  $contacts */
    private function __construct(array $contacts, private readonly int $many)
    {
        $this->seen = array_fill_keys($contacts, true);
        $this->today = intdiv(today()->getTimestamp(), 86400) + 719_528;
    }

    /**
     * @param  list<int>  $contacts
     * @param  int  $many  from so many companies on all positions are read in their order, which is quicker than
     *     looking them up
     * @return list<int> they, and whom they reach
     */
    public static function from(array $contacts, int $steps, int $many = self::MANY): array
    {
        $spreading = new self($contacts, $many);
        for ($newest = $contacts; $steps > 0 && $newest !== []; $steps--) {
            $newest = $spreading->next($newest);
        }

        return array_keys($spreading->seen);
    }

    /**
     * @param  list<int>  $newest
     * @return list<int> those who were not seen before
     */
    private function next(array $newest): array
    {
        $found = [];
        foreach (array_chunk($newest, self::CHUNK) as $some) {
            foreach ($this->circles($some) as $contact) {
                $found[$contact] = true;
            }
        }
        foreach ($this->colleagues($newest) as $contact) {
            $found[$contact] = true;
        }
        $found = array_diff_key($found, $this->seen);
        $this->seen += $found;

        return array_keys($found);
    }

    /**
     * @param  list<int>  $contacts
     * @return iterable<int>
     */
    private function circles(array $contacts): iterable
    {
        $names = [];
        foreach (
            DB::select(
                'SELECT DISTINCT kind, name FROM affiliations WHERE kind <> ? AND contact_id IN ('
                    .implode(',', $contacts).')',
                ['language'],
            ) as $row
        ) {
            $key = "{$row->kind} {$row->name}";
            if (! isset($this->circles[$key])) {
                $this->circles[$key] = true;
                $names[$row->kind][] = $row->name;
            }
        }
        foreach ($names as $kind => $some) {
            foreach (array_chunk($some, self::CHUNK) as $chunk) {
                yield from DB::table('affiliations')->where('kind', $kind)->whereIn('name', $chunk)->distinct()
                    ->pluck('contact_id')->all();
            }
        }
    }

    /**
     * @param  list<int>  $contacts
     * @return iterable<int>
     */
    private function colleagues(array $contacts): iterable
    {
        $stretches = $names = [];
        foreach (array_chunk($contacts, self::CHUNK) as $some) {
            foreach (
                $this->positions('contact_id IN ('.implode(',', $some).')') as [, $where, $company, $first, $last]
            ) {
                $stretches[$where][] = [$first, $last];
                if ($company !== null) {
                    $names[$where] = $company;
                }
            }
        }
        $spans = array_map(Spans::of(...), $stretches);
        foreach (
            $this->positionsAt(array_filter(array_keys($spans), is_int(...)), array_values($names)) as [
                $contact, $where, , $first, $last,
            ]
        ) {
            if (($spans[$where] ?? null)?->meets($first, $last) === true) {
                yield $contact;
            }
        }
    }

    /**
     * @param  array<int>  $accounts
     * @param  list<string>  $companies  that are no accounts
     * @return iterable<array{int, int|string, string|null, int, int}>
     */
    private function positionsAt(array $accounts, array $companies): iterable
    {
        if (count($accounts) + count($companies) > $this->many) {
            $most = (int) DB::table('positions')->max('contact_id');
            for ($from = 0; $from <= $most; $from += self::WINDOW) {
                yield from $this->positions("contact_id BETWEEN $from AND ".($from + self::WINDOW - 1));
            }

            return;
        }
        foreach (array_chunk($accounts, self::CHUNK) as $some) {
            yield from $this->positions('account_id IN ('.implode(',', $some).')');
        }
        foreach (array_chunk($companies, self::CHUNK) as $some) {
            yield from $this->positions(
                Position::isAtNoAccount().' AND company IN ('.implode(',', array_fill(0, count($some), '?')).')',
                $some,
            );
        }
    }

    /**
     * @param  list<string>  $with
     * @return iterable<array{int, int|string, string|null, int, int}> contact, account (or, of a company that is none,
     *     how the database compares its name), that name, first and last day that is known of
     */
    private function positions(string $which, array $with = []): iterable
    {
        foreach (
            DB::select(
                'SELECT contact_id AS contact, account_id AS account, IF(account_id IS NULL, company, NULL) AS '
                    .'company, IF(account_id IS NULL, WEIGHT_STRING(company), NULL) AS weight, TO_DAYS(since) AS '
                    ."since, TO_DAYS(until) AS until FROM positions WHERE ($which) AND (account_id IS NOT NULL "
                    .'OR company IS NOT NULL)',
                $with,
            ) as $row
        ) {
            yield [
                $row->contact, $row->account ?? 'named '.$row->weight, $row->company,
                $row->since ?? $row->until ?? $this->today, $row->until ?? $this->today,
            ];
        }
    }
}
