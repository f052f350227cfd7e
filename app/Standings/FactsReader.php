<?php

declare(strict_types=1);

namespace App\Standings;

use App\KeepOut\EntriesInForce;
use App\Support\Figure;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Fit\OwnFact;
use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Reach\Access;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Channel;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Series;
use PDO;

/** Reads what standings are made of, a chunk of accounts at a time, in rows and not in models. */
final class FactsReader
{
    private readonly EntriesInForce $barred;

    /** @var array<string, Kind> */
    private readonly array $kinds;

    /** @var array<string, float> types and states of channels → what they are worth together */
    private array $accesses = [];

    /**
     * @param  bool  $otherSites  whether the places beside the headquarters are asked for
     * @param  bool  $ownFacts  whether facts of the team's own are
     */
    private function __construct(
        private readonly CarbonImmutable $now,
        private readonly bool $otherSites,
        private readonly bool $ownFacts,
    ) {
        $this->barred = EntriesInForce::now();
        $this->kinds = array_column(Kind::cases(), null, 'value');
    }

    /** Reads as much as some rules ask. */
    public static function for(CarbonImmutable $now, RuleBook ...$books): self
    {
        $any = fn (callable $asks): bool => array_filter($books, $asks) !== [];

        return new self(
            $now,
            $any(static fn (RuleBook $book): bool => $book->asksAnySite()),
            $any(static fn (RuleBook $book): bool => $book->asksOwnFacts()),
        );
    }

    /**
     * @param  string  $which  an SQL condition on the account id `id`
     * @return Generator<int, StandingFacts>
     */
    public function read(string $which): Generator
    {
        $industries = $this->grouped(
            "SELECT account_id, code FROM account_industry WHERE {$this->on($which)} AND code IS NOT NULL ORDER BY "
                .'account_id, position',
        );
        $technologies = $this->grouped(
            'SELECT account_id, name FROM account_technology JOIN technologies ON technologies.id = technology_id '
                ."WHERE {$this->on($which)} ORDER BY account_id",
        );
        $otherSites = $this->otherSites ? $this->otherSites($which) : [];
        $facts = $this->ownFacts ? $this->ownFacts($which) : [];
        $contacts = $this->contacts($which);
        [$series, $marks] = $this->signals($which);
        $removed = [];
        foreach (
            $this->rows(
                "SELECT account_id, offer_id, contact_id FROM group_places WHERE {$this->on($which)} AND removed = 1",
            ) as $row
        ) {
            $removed[$row[0]][$row[1]][$row[2]] = true;
        }
        $dropped = [];
        foreach (
            $this->rows(
                'SELECT account_id, offer_id, name FROM decisions JOIN users ON users.id = user_id WHERE '
                    ."{$this->on($which)} AND decision = 'dropped'",
            ) as $row
        ) {
            $dropped[$row[0]][$row[1]] = $row[2];
        }
        $customers = [];
        foreach (
            $this->rows(
                "SELECT account_id, since FROM customer_periods WHERE {$this->on($which)} AND (since IS NULL OR "
                    ."since <= '{$this->now->toDateString()}') AND (until IS NULL OR until >= "
                    ."'{$this->now->toDateString()}')",
            ) as $row
        ) {
            $customers[$row[0]] = $row[1] === null
                ? 'customer'
                : 'customer since '.CarbonImmutable::parse($row[1])->format('j M Y');
        }

        foreach ($this->rows('SELECT a.id, domain, status, headcount, revenue, growth, sites, country, region,
            postal_code, latitude, longitude, keywords, description
            FROM accounts a LEFT JOIN places p ON p.account_id = a.id AND p.headquarters = 1 WHERE merged_into IS NULL
                AND '.str_replace('`id`', 'a.id', $which).' ORDER BY a.id') as $row) {
            [
                $id, $domain, $status, $headcount, $revenue, $growth, $sites, $country, $region, $postalCode, $latitude,
                $longitude, $keywords, $description,
            ] = $row;
            yield $id => new StandingFacts(
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
                    $otherSites[$id] ?? [],
                    $facts[$id] ?? [],
                    self::numbers($facts[$id] ?? []),
                ),
                $contacts[$id] ?? [],
                $series[$id] ?? [],
                $marks[$id] ?? [],
                $dropped[$id] ?? [],
                $removed[$id] ?? [],
            );
        }
    }

    /**
     * @return array{array<int, array<int, array<string, Series>>>, array<int, array<int, array{int|null, int}>>}
     *     account → offer (0: all) → kind → its signals; account → signal → whose, and whom it concerns
     */
    private function signals(string $which): array
    {
        $all = $own = $marks = [];
        $account = $kind = null;
        $ids = $times = $worth = $since = [];
        // The order is that of the index signals_reading, which holds all that is asked.
        foreach (
            $this->rows(
                'SELECT account_id, kind, UNIX_TIMESTAMP(occurred_at), strength * confidence, '
                    .'UNIX_TIMESTAMP(since), id, contact_id, concerns, offer_id FROM signals FORCE INDEX '
                    ."(signals_reading) WHERE {$this->on($which)} ORDER BY account_id, kind, occurred_at",
            ) as $row
        ) {
            if ($row[6] !== null || $row[7] !== 0) {
                $marks[$row[0]][$row[5]] = [$row[6], $row[7]];
            }
            if ($row[8] !== null) {
                $own[$row[0]][$row[8]][$row[1]][] = $row;

                continue;
            }
            if ($row[1] !== $kind || $row[0] !== $account) {
                if ($kind !== null) {
                    $all[$account][0][$kind] = new Series($this->kinds[$kind], $ids, $times, $worth, $since);
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
            $all[$account][0][$kind] = new Series($this->kinds[$kind], $ids, $times, $worth, $since);
        }
        foreach ($own as $account => $offers) {
            foreach ($offers as $offer => $kinds) {
                $all[$account][$offer] = $all[$account][0] ?? [];
                foreach ($kinds as $kind => $rows) {
                    $all[$account][$offer][$kind] = $this->joined($kind, $all[$account][0][$kind] ?? null, $rows);
                }
            }
        }

        return [$all, $marks];
    }

    /**
     * The signals of one kind that every offer sees, and those of one offer.
     *
     * @param  list<list<mixed>>  $rows
     */
    private function joined(string $kind, ?Series $shared, array $rows): Series
    {
        $entries = [];
        if ($shared !== null) {
            foreach ($shared->times as $i => $time) {
                $entries[] = [$time, $shared->ids[$i], $shared->worth[$i], $shared->since[$i] ?? null];
            }
        }
        foreach ($rows as $row) {
            $entries[] = [(int) $row[2], $row[5], $row[3], $row[4] === null ? null : (int) $row[4]];
        }
        usort($entries, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new Series(
            $this->kinds[$kind],
            array_column($entries, 1),
            array_column($entries, 0),
            array_column($entries, 2),
            array_filter(array_column($entries, 3), static fn (float|int|null $since): bool => $since !== null),
        );
    }

    /**
     * @return array<int, list<array{int, int, string, float, float}>> account → contacts that are not kept out: id,
     *     reading of the title, title, access, strength of the best way through one of us
     */
    private function contacts(string $which): array
    {
        $contacts = [];
        $some = $this->barred->namesPeople();
        $now = $this->now->getTimestamp();
        $value = $some ? 'value' : 'NULL';
        $last = $account = $reading = $title = null;
        $intro = 0.0;
        $channels = [];
        foreach (
            $this->rows(
                "SELECT c.account_id, c.id, reading, title, type, $value, state, chance, UNIX_TIMESTAMP(active_at), "
                    .'intro FROM contacts c LEFT JOIN channels ON contact_id = c.id WHERE '
                    ."{$this->on($which, 'c.account_id')} AND merged_into IS NULL ORDER BY c.account_id, c.id",
            ) as $row
        ) {
            if ($row[1] !== $last) {
                if ($last !== null) {
                    $contacts[$account][] = [$last, $reading, $title, $this->access($channels, $intro), $intro];
                }
                $last = null;
                if ($some && $this->barred->contact($row[1]) !== null) {
                    continue;
                }
                [$account, $last, $reading] = $row;
                $title = $row[3] ?? '';
                $intro = $row[9];
                $channels = [];
            }
            if ($row[4] === null || $some && $row[5] !== null && $this->barred->address($row[5]) !== null) {
                continue;
            }
            $channels[] = $row[7] === null && $row[8] === null ? $row[4].'|'.$row[6] : new Channel(
                ChannelType::from($row[4]),
                AddressState::from($row[6]),
                $row[7],
                $row[8] === null ? null : max(0, $now - $row[8]) / 86400,
            );
        }
        if ($last !== null) {
            $contacts[$account][] = [$last, $reading, $title, $this->access($channels, $intro), $intro];
        }

        return $contacts;
    }

    /** @param  list<Channel|string>  $channels  a text stands for all channels alike: type|state */
    private function access(array $channels, float $intro): float
    {
        if ($channels === [] && $intro === 0.0) {
            return 0.0;
        }
        $key = $intro === 0.0 ? '' : "$intro ";
        foreach ($channels as $channel) {
            if (! is_string($channel)) {
                return Access::of(array_map($this->channel(...), $channels), $intro)->value;
            }
            $key .= $channel.',';
        }

        return $this->accesses[$key] ??= Access::of(array_map($this->channel(...), $channels), $intro)->value;
    }

    private function channel(Channel|string $channel): Channel
    {
        if (is_string($channel)) {
            [$type, $state] = explode('|', $channel);

            return new Channel(ChannelType::from($type), AddressState::from($state));
        }

        return $channel;
    }

    /** @return array<int, list<AccountFacts>> */
    private function otherSites(string $which): array
    {
        $sites = [];
        foreach (
            $this->rows(
                'SELECT account_id, country, region, postal_code, latitude, longitude FROM places WHERE '
                    ."{$this->on($which)} AND headquarters = 0",
            ) as [$id, $country, $region, $postalCode, $latitude, $longitude]
        ) {
            $sites[$id][] = new AccountFacts(
                country: $country,
                region: $region,
                postalCode: $postalCode,
                place: $latitude === null ? null : new Coordinates($latitude, $longitude),
            );
        }

        return $sites;
    }

    /** @return array<int, array<string, string>> account → fact → value */
    private function ownFacts(string $which): array
    {
        $facts = [];
        foreach (
            $this->rows(
                'SELECT account_id, name, value FROM account_attribute JOIN attributes ON attributes.id = attribute_id '
                    ."WHERE {$this->on($which)}",
            ) as [$id, $name, $value]
        ) {
            $facts[$id][OwnFact::key($name)] = $value;
        }

        return $facts;
    }

    /**
     * @param  array<string, string>  $facts
     * @return array<string, float> those that are written as a number
     */
    private static function numbers(array $facts): array
    {
        return array_filter(
            array_map(static fn (string $value): ?float => Figure::own($value)?->value, $facts), is_float(...),
        );
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
