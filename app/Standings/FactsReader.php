<?php

declare(strict_types=1);

namespace App\Standings;

use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Priority\Access;
use Luftig\Core\Priority\AddressState;
use Luftig\Core\Priority\Channel;
use Luftig\Core\Priority\ChannelType;
use Luftig\Core\Profile\AccountFacts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Series;
use PDO;

/** Reads what standings are made of, a chunk of accounts at a time, in rows and not in models. */
final class FactsReader
{
    private readonly Barred $barred;

    /** @var array<string, Kind> */
    private readonly array $kinds;

    public function __construct(private readonly CarbonImmutable $now)
    {
        $this->barred = Barred::now();
        $this->kinds = array_column(Kind::cases(), null, 'value');
    }

    /**
     * @param  string  $which  an SQL condition on the account id `id`
     * @return Generator<int, Facts>
     */
    public function read(string $which): Generator
    {
        $industries = $this->grouped("SELECT account_id, code FROM account_industry WHERE {$this->on($which)} AND code IS NOT NULL ORDER BY account_id, position");
        $technologies = $this->grouped("SELECT account_id, name FROM account_technology JOIN technologies ON technologies.id = technology_id WHERE {$this->on($which)} ORDER BY account_id");
        $access = $this->access($which);
        $series = $this->series($which);
        $dropped = [];
        foreach ($this->rows("SELECT account_id, offer_id, name FROM decisions JOIN users ON users.id = user_id WHERE {$this->on($which)} AND decision = 'dropped'") as $row) {
            $dropped[$row[0]][$row[1]] = $row[2];
        }
        $customers = [];
        foreach ($this->rows("SELECT account_id, since FROM customer_periods WHERE {$this->on($which)} AND (since IS NULL OR since <= '{$this->now->toDateString()}') AND (until IS NULL OR until >= '{$this->now->toDateString()}')") as $row) {
            $customers[$row[0]] = $row[1] === null ? 'customer' : 'customer since '.CarbonImmutable::parse($row[1])->format('j M Y');
        }

        foreach ($this->rows('SELECT a.id, domain, status, headcount, revenue, growth, sites, country, region, postal_code, latitude, longitude, keywords, description
            FROM accounts a LEFT JOIN places p ON p.account_id = a.id AND p.headquarters = 1 WHERE '.str_replace('`id`', 'a.id', $which).' ORDER BY a.id') as $row) {
            [$id, $domain, $status, $headcount, $revenue, $growth, $sites, $country, $region, $postalCode, $latitude, $longitude, $keywords, $description] = $row;
            yield $id => new Facts(
                $id,
                $customers[$id] ?? $status ?? $this->barred->account($id, $domain),
                new AccountFacts(
                    $headcount,
                    $revenue,
                    $growth,
                    $sites,
                    $industries[$id] ?? [],
                    $country,
                    $region,
                    $postalCode,
                    $latitude === null ? null : new Coordinates($latitude, $longitude),
                    $technologies[$id] ?? [],
                    $keywords === null ? $description : $keywords.' '.$description,
                ),
                $access[$id] ?? 0.0,
                $series[$id] ?? [],
                $dropped[$id] ?? [],
            );
        }
    }

    /** @return array<int, array<string, Series>> account → kind → its signals */
    private function series(string $which): array
    {
        $all = [];
        $account = $kind = null;
        $ids = $times = $worth = $since = [];
        // The order is that of the index signals_reading, which holds all that is asked.
        foreach ($this->rows("SELECT account_id, kind, UNIX_TIMESTAMP(occurred_at), strength * confidence, UNIX_TIMESTAMP(since), id FROM signals FORCE INDEX (signals_reading) WHERE {$this->on($which)} ORDER BY account_id, kind, occurred_at") as $row) {
            if ($row[1] !== $kind || $row[0] !== $account) {
                if ($kind !== null) {
                    $all[$account][$kind] = new Series($this->kinds[$kind], $ids, $times, $worth, $since);
                }
                $account = $row[0];
                $kind = $row[1];
                $ids = $times = $worth = $since = [];
            }
            if ($row[4] !== null) {
                $since[count($ids)] = (int) $row[4];
            }
            $ids[] = $row[5];
            $times[] = (int) $row[2];
            $worth[] = $row[3];
        }
        if ($kind !== null) {
            $all[$account][$kind] = new Series($this->kinds[$kind], $ids, $times, $worth, $since);
        }

        return $all;
    }

    /** @return array<int, float> account → the best access of its contacts that are not kept out */
    private function access(string $which): array
    {
        $channels = [];
        $alike = [];
        $some = $this->barred->namesPeople();
        $now = $this->now->getTimestamp();
        foreach ($this->rows("SELECT c.account_id, c.id, type, value, state, chance, UNIX_TIMESTAMP(active_at) FROM contacts c JOIN channels ON contact_id = c.id WHERE {$this->on($which, 'c.account_id')} ORDER BY c.account_id, c.id") as $row) {
            if ($some && ($this->barred->contact($row[1]) !== null || $this->barred->address($row[3]) !== null)) {
                continue;
            }
            $channels[$row[0]][$row[1]][] = $row[5] === null && $row[6] === null
                ? $alike[$row[2].$row[4]] ??= new Channel(ChannelType::from($row[2]), AddressState::from($row[4]))
                : new Channel(ChannelType::from($row[2]), AddressState::from($row[4]), $row[5], $row[6] === null ? null : max(0, $now - $row[6]) / 86400);
        }

        return array_map(fn (array $contacts): float => max(array_map(fn (array $own): float => Access::of($own)->value, $contacts)), $channels);
    }

    /** @return array<int, list<string>> */
    private function grouped(string $sql): array
    {
        $groups = [];
        foreach ($this->rows($sql) as $row) {
            $groups[$row[0]][] = $row[1];
        }

        return $groups;
    }

    /** @return iterable<list<mixed>> */
    private function rows(string $sql): iterable
    {
        $statement = DB::connection()->getPdo()->prepare($sql);
        $statement->execute();
        $statement->setFetchMode(PDO::FETCH_NUM);

        return $statement;
    }

    private function on(string $which, string $column = 'account_id'): string
    {
        return str_replace('`id`', $column, $which);
    }
}
