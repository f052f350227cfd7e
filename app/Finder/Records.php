<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use App\Standings\RuleBook;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use LogicException;
use Luftig\Core\Company\IndustryTree;
use Luftig\Core\Index\Indexer;
use Luftig\Core\Index\Record;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PositionHeld;
use Luftig\Core\Person\Title;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Timing;
use Luftig\Core\Text\Fold;
use PDO;
use PDOStatement;

/**
 * What the Finder knows of accounts and their contacts, as an offer sees them; read in rows and not in models, a
 * million at a time.
 */
final class Records
{
    private const CHUNK = 1000;

    /** Up to so many days one is new in a position. */
    private const NEW = 180;

    private const REMEMBERED = 50_000;

    private const DAY = 86_400;

    /** Ranked accounts first, then those who wait, last those who are out; within each by points, which are fewer. */
    private const ORDER = ['ranked' => 1000, 'waiting' => 0, '' => 0, 'out' => self::OUT, 'kept_out' => self::OUT];

    private const OUT = -1000;

    private readonly int $today;

    /** @var array<string, string> */
    private array $folded = [];

    /** @var array<int, array<string, list<string>>> reading → seniority and functions */
    private array $read = [];

    /** @var array<array-key, list<string>> industry → all it lies in */
    private array $paths = [];

    private readonly float $now;

    private readonly Catalogue $catalogue;

    /** @var list<string> names of the buyer roles */
    private readonly array $roles;

    /**
     * @var array<int, list<list<mixed>>>|null account → since and until of its customer periods, in days since 1970;
     *     looked up with the first position
     */
    private ?array $customers = null;

    private readonly PDO $database;

    public function __construct(private readonly Offer $offer)
    {
        $this->database = DB::connection()->getPdo();
        $this->today = intdiv(CarbonImmutable::today()->getTimestamp(), 86400);
        $this->now = (float) CarbonImmutable::now()->getTimestamp();
        $this->catalogue = $offer->rules === null ? Catalogue::standard() : RuleBook::catalogueOf($offer->rules);
        $this->roles = array_column($offer->rules->buyer_roles ?? [], 'name');
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, int> account → how many pages of an index it takes, in the order in which read() gives them
     */
    public function pages(array $accounts): array
    {
        sort($accounts);
        $pages = [];
        foreach (array_chunk($accounts, 10 * self::CHUNK) as $ids) {
            $in = implode(',', $ids);
            // Too many where some are merged or of another offer, which only leaves room; without a look at the rows.
            $contacts = $this
                ->asked("SELECT account_id, COUNT(*) FROM contacts WHERE account_id IN ($in) GROUP BY account_id")
                ->fetchAll(PDO::FETCH_KEY_PAIR);
            $events = $this
                ->asked("SELECT account_id, COUNT(*) FROM signals WHERE account_id IN ($in) GROUP BY account_id")
                ->fetchAll(PDO::FETCH_KEY_PAIR);
            foreach (
                $this->rows("SELECT id FROM accounts WHERE id IN ($in) AND merged_into IS NULL ORDER BY id") as [$id]
            ) {
                $pages[$id] = Indexer::pagesFor($contacts[$id] ?? 0, $events[$id] ?? 0);
            }
        }

        return $pages;
    }

    /**
     * @param  list<int>  $accounts  ascending
     * @return Generator<Record>
     */
    public function read(array $accounts): Generator
    {
        foreach (array_chunk($accounts, self::CHUNK) as $ids) {
            $on = static fn (string $column): string => self::among($ids, $column);
            // All that is small at once: for a single account half the time is the asking.
            $facts = [];
            foreach ($this->rows("SELECT 'industry', account_id, code, position, NULL, NULL, NULL, NULL,
                NULL FROM account_industry WHERE {$on('account_id')} AND code IS NOT NULL
                UNION ALL SELECT 'technology', account_id, name, NULL, NULL, NULL, NULL, NULL, NULL
                    FROM account_technology JOIN technologies ON technologies.id = technology_id WHERE
                    {$on('account_id')}
                UNION ALL SELECT 'attribute', account_id, name, value, NULL, NULL, NULL, NULL, NULL
                    FROM account_attribute JOIN attributes ON attributes.id = attribute_id WHERE {$on('account_id')}
                UNION ALL SELECT 'place', account_id, headquarters, country, region, city, postal_code, latitude,
                    longitude FROM places WHERE {$on('account_id')}
                UNION ALL SELECT 'affiliation', account_id, contact_id, kind, name, NULL, NULL, NULL, NULL
                    FROM affiliations JOIN contacts ON contacts.id = contact_id WHERE {$on('account_id')}
                UNION ALL SELECT 'position', c.account_id, contact_id, p.account_id, COALESCE(a.name, company),
                    p.title, p.reading, TO_DAYS(since) - 719528, TO_DAYS(until) - 719528
                    FROM positions p JOIN contacts c ON c.id = contact_id LEFT JOIN accounts a ON a.id = p.account_id
                    AND p.account_id <> c.account_id WHERE {$on('c.account_id')}") as $row) {
                $facts[$row[1]][$row[0]][] = array_slice($row, 2);
            }
            // With a row for each of their channels: the contacts are looked up once, which is most of the time.
            $contacts = $this->grouped(
                'SELECT c.account_id, c.id, title, reading, about, interests, city, country, type, state, '
                    .'TO_DAYS(active_at) - 719528 FROM contacts c LEFT JOIN channels ON contact_id = c.id WHERE '
                    ."{$on('c.account_id')} AND merged_into IS NULL",
            );
            $signals = $this->grouped(
                'SELECT account_id, kind, UNIX_TIMESTAMP(occurred_at), strength, facts, title, quote, contact_id '
                    ."FROM signals WHERE {$on('account_id')} AND (offer_id IS NULL OR offer_id = {$this->offer->id})",
            );
            foreach (
                $this->rows(
                    'SELECT a.id, a.name, a.domain, a.owner_id, a.description, a.keywords, a.headcount, a.revenue, '
                        .'a.growth, a.sites, a.founded, parent.name, state, fit, coverage, push, access, points, '
                        .'priority, `lines`, s.contacts, (SELECT TO_DAYS(MAX(made_at)) - 719528 FROM approaches '
                        ."WHERE account_id = a.id AND offer_id = {$this->offer->id}) FROM accounts a LEFT "
                        .'JOIN accounts parent ON parent.id = a.parent_id LEFT JOIN standings s ON '
                        ."s.account_id = a.id AND s.offer_id = {$this->offer->id} WHERE "
                        ."{$on('a.id')} AND a.merged_into IS NULL ORDER BY a.id",
                ) as $row
            ) {
                $ranked = array_column(json_decode($row[20] ?? '[]', true), null, 0);
                $events = $engaged = [];
                $newest = null;
                foreach ($signals[$row[0]] ?? [] as $signal) {
                    $events[] = $event = $this->event($signal);
                    $day = (int) $event->numbers[Field::EventAge->value];
                    if ($day <= $this->today) {
                        $newest = max($newest ?? 0, $day);
                    }
                    if ($signal[0] === 'post_engagement' && $signal[6] !== null) {
                        $engaged[$signal[6]] = max($engaged[$signal[6]] ?? 0, $day);
                    }
                }
                $people = $channels = [];
                foreach ($contacts[$row[0]] ?? [] as $contact) {
                    $people[$contact[0]] = $contact;
                    if ($contact[7] !== null) {
                        $channels[$contact[0]][] = $contact;
                    }
                }
                $own = $affiliations = $positions = [];
                foreach ($facts[$row[0]]['affiliation'] ?? [] as [$id, $kind, $name]) {
                    $affiliations[$id][] = [$kind, $name];
                }
                foreach ($facts[$row[0]]['position'] ?? [] as [$id, $at, $company, $title, $reading, $since, $until]) {
                    // What stands in one column with texts, or with fractions, comes as these.
                    $positions[$id][] = [
                        self::whole($at), self::whole($at) === $row[0] ? $row[1] : $company, $title, (int) $reading,
                        self::whole($since), self::whole($until),
                    ];
                }
                foreach ($people as $id => $contact) {
                    $own[] = $this->contact(
                        $row[0],
                        $contact,
                        $positions[$id] ?? [],
                        $channels[$id] ?? [],
                        $affiliations[$id] ?? [],
                        $ranked[$id] ?? null,
                        $engaged[$id] ?? null,
                        $row[12],
                    );
                }
                yield $this->account($row, $facts[$row[0]] ?? [], $own, $events, $newest, $ranked);
            }
        }
    }

    /**
     * @param  list<mixed>  $row
     * @param  array<string, list<list<mixed>>>  $facts  its industries with their position, technologies, attributes
     *     with their value, and places
     * @param  list<Record>  $contacts
     * @param  list<Record>  $events
     * @param  int|null  $newest  day of its newest signal, since 1970
     * @param  array<int, list<mixed>>  $ranked  contact → id, priority, part, buyer role
     */
    private function account(
        array $row,
        array $facts,
        array $contacts,
        array $events,
        ?int $newest,
        array $ranked,
    ): Record {
        $places = $facts['place'] ?? [];
        $industries = array_column($facts['industry'] ?? [], 0, 1);
        ksort($industries);
        [
            $id, $name, $domain, $owner, $description, $keywords, $headcount, $revenue, $growth, $sites, $founded,
            $parent, $state, $fit, $coverage, $push, $access, $points, $priority, $lines, , $approached,
        ] = $row;
        $values = [
            Field::Owner->value => [$owner === null ? 'nobody' : (string) $owner],
            Field::Signal->value => array_values(array_unique(array_column(json_decode($lines ?? '[]', true), 1))),
        ]
            + self::placeValues($places);
        if ($industries !== []) {
            $values[Field::Industry->value] = array_values(
                array_unique(array_merge(...array_values(array_map($this->path(...), $industries)))),
            );
            $values[Field::MainIndustry->value] = $this->path(reset($industries));
        }
        if (isset($facts['technology'])) {
            $values[Field::Technology->value] = array_column($facts['technology'], 0);
        }
        foreach ($facts['attribute'] ?? [] as [$attribute, $value]) {
            $values[Condition::named(Field::Attribute, mb_strtolower($attribute))] = ['*', $value];
        }
        $values += array_map(static fn (string $value): array => [$value], array_filter(
            [Field::State->value => $state, Field::Parent->value => $parent, Field::Domain->value => $domain],
            is_string(...),
        ));
        $coordinates = [];
        foreach ($places as [$isSeat, , , , , $latitude, $longitude]) {
            if ($latitude !== null) {
                $coordinates[] = [(float) $latitude, (float) $longitude, (bool) $isSeat];
            }
        }
        $numbers = array_filter([
            Field::Headcount->value => $headcount, Field::Revenue->value => $revenue, Field::Growth->value => $growth,
            Field::Sites->value => $sites, Field::Founded->value => $founded, Field::Fit->value => $fit,
            Field::Coverage->value => $coverage,
            Field::Timing->value => $push === null ? null : Timing::shown((float) $push),
            Field::Access->value => $access, Field::Priority->value => $priority,
            Field::KnownContacts->value => count($contacts), Field::NewestSignal->value => $newest,
            Field::LastApproach->value => $approached,
        ], static fn ($value): bool => $value !== null);
        if ($state !== null) {
            $inRole = array_count_values(array_filter(array_column($ranked, 3), is_int(...)));
            foreach ($this->roles as $i => $role) {
                $numbers[Condition::named(Field::KnownContacts, mb_strtolower($role))] = $inRole[$i] ?? 0;
            }
        }

        return new Record(
            $id,
            $values,
            $numbers,
            [
                Field::Name->value => Fold::line($name),
                Field::Words->value => Passage::line($name, $keywords, $description),
            ],
            $coordinates === [] ? null : $coordinates,
            $contacts,
            self::ORDER[$state] + (float) $points,
            $events,
        );
    }

    /**
     * @param  list<list<mixed>>  $places
     * @return array<string, list<string>> of the headquarters, and of all sites
     */
    private static function placeValues(array $places): array
    {
        $values = [];
        foreach ($places as [$isSeat, $country, $region, $city, $postal]) {
            $code = str_replace(' ', '', (string) $postal);
            $own = [
                Field::Country->value => $country === null ? [] : [$country],
                Field::Region->value => $region === null ? [] : [$region],
                Field::City->value => $city === null ? [] : [$city],
                Field::PostalArea->value => $code === '' ? [] : array_map(
                    static fn (int $length): string => substr($code, 0, $length),
                    range(1, min(5, strlen($code))),
                ),
            ];
            foreach (array_filter($own) as $field => $found) {
                $values["$field:any"] = array_values(array_unique([...$values["$field:any"] ?? [], ...$found]));
                if ((bool) $isSeat) {
                    $values[$field] = $found;
                }
            }
        }

        return $values;
    }

    /** @param  list<mixed>  $row  kind, time, strength, facts, title, quote */
    private function event(array $row): Record
    {
        [$kind, $time, $strength, $facts, $title, $quote] = $row;
        $values = ['event_kind' => [$kind], 'event_stage' => [
            $this->catalogue->rules[$kind]->stage(($this->now - $time) / self::DAY)->value,
        ]];
        $numbers = ['event_age' => intdiv((int) $time, self::DAY), 'event_strength' => $strength];
        if ($facts !== null) {
            $given = json_decode($facts, true);
            if (isset($given['round'])) {
                $values['event_round'] = [mb_strtolower((string) $given['round'])];
            }
            if (isset($given['eur'])) {
                $numbers['event_amount'] = (float) $given['eur'];
            }
        }

        return new Record(
            0, $values, $numbers, ['event_text' => $this->fold($quote === null ? $title : "$title $quote")],
        );
    }

    /**
     * In plain steps, since it is done a million times.
     *
     * @param  list<mixed>  $row
     * @param  list<list<mixed>>  $positions
     * @param  list<list<mixed>>  $channels  type, state and day of activity from the eighth on
     * @param  list<list<string>>  $affiliations  kind and name
     * @param  list<mixed>|null  $ranked  id, priority, part, buyer role
     * @param  int|null  $active  day on which they last wrote or reacted, since 1970
     * @param  string|null  $standing  of their account; those of accounts that are out are never proposed, and stand
     *     last
     */
    private function contact(
        int $account,
        array $row,
        array $positions,
        array $channels,
        array $affiliations,
        ?array $ranked,
        ?int $active,
        ?string $standing,
    ): Record {
        [$id, $title, $reading, $about, $interests, $city, $country] = $row;
        $values = $this->titleValues($reading);
        $values['part'] = [$ranked[2] ?? 'none'];
        $values['channel'] = [];
        foreach ($channels as [7 => $type, 8 => $state, 9 => $day]) {
            foreach (self::channelValues($type, $state) as $value) {
                if (! in_array($value, $values['channel'], true)) {
                    $values['channel'][] = $value;
                }
            }
            if ($day !== null && $day > ($active ?? 0)) {
                $active = $day;
            }
        }
        if (isset($ranked[3])) {
            $values['buyer_role'] = [$this->roles[$ranked[3]] ?? ''];
        } elseif ($reading !== 0) {
            $values['buyer_role'] = [];
        }
        if ($country !== null) {
            $values['own_country'] = [$country];
        }
        if ($city !== null) {
            $values['own_city'] = [$city];
        }
        foreach ($affiliations as [$kind, $name]) {
            $values[$kind][] = $name;
        }
        $numbers = $active === null ? [] : ['engaged' => $active];
        $before = null;
        if ($positions !== []) {
            [$held, $ofPositions, $before] = $this->career($account, $positions);
            $values += $held;
            $numbers += $ofPositions;
        }
        $texts = $title === null || $title === '' ? [] : ['title' => $this->fold($title)];
        if ($about !== null || $interests !== null) {
            $texts['about'] = $this->fold("$about $interests");
        }

        $isOut = $standing === 'out' || $standing === 'kept_out';
        $order = ($ranked[1] ?? 0.0) + ($isOut ? self::OUT : 0);

        return new Record($id, $values, $numbers, $texts, order: $order, parts: $before);
    }

    /**
     * What positions tell: how somebody came to the present one and from where, since when, and the earlier ones.
     *
     * @param  non-empty-list<list<mixed>>  $positions
     * @return array{array<string, list<string>>, array<string, int>, list<Record>|null}
     */
    private function career(int $account, array $positions): array
    {
        $career = Career::at($account, array_map(
            static fn (array $position): PositionHeld => new PositionHeld(
                $position[0], (string) $position[2], Title::unpacked($position[3]), $position[4], $position[5],
            ),
            $positions,
        ));
        $since = $career->now?->since;
        $before = array_values(array_filter($positions, static fn (array $position): bool => $position[5] !== null));
        $values = [];
        if ($since !== null) {
            $values[Field::Arrival->value] = [
                $this->today - $since > self::NEW ? 'settled' : $career->arrival()->value,
            ];
        }
        if ($before !== []) {
            $values[Field::Origin->value] = array_filter($before, $this->wasAtCustomer(...)) === []
                ? ['elsewhere']
                : ['customer'];
        }
        $starts = array_filter(array_column($positions, 4), is_int(...));
        $numbers = array_filter(
            [
                Field::InPosition->value => $since,
                Field::InCompany->value => $career->atAccountSince(),
                Field::AtWork->value => $starts === [] ? null : min($starts),
            ],
            is_int(...),
        );

        return [$values, $numbers, $before === [] ? null : array_map($this->positionBefore(...), $before)];
    }

    /** @param  list<mixed>  $position */
    private function positionBefore(array $position): Record
    {
        $texts = array_filter(
            [Field::BeforeTitle->value => (string) $position[2], Field::BeforeCompany->value => (string) $position[1]],
            static fn (string $text): bool => $text !== '',
        );

        return new Record(0, [], [Field::BeforeEnded->value => $position[5]], array_map($this->fold(...), $texts));
    }

    /**
     * Whether a position was at an account while it was a customer.
     *
     * @param  list<mixed>  $position
     */
    private function wasAtCustomer(array $position): bool
    {
        $this->customers ??= $this
            ->grouped('SELECT account_id, TO_DAYS(since) - 719528, TO_DAYS(until) - 719528 FROM customer_periods');
        foreach ($position[0] === null ? [] : $this->customers[$position[0]] ?? [] as [$since, $until]) {
            if (
                ($since === null || $position[5] >= $since)
                && ($until === null || $position[4] === null || $position[4] <= $until)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private function path(string $industry): array
    {
        return $this->paths[$industry] ??= IndustryTree::path($industry);
    }

    /** @return array<string, list<string>> */
    private function titleValues(int $reading): array
    {
        if (! isset($this->read[$reading])) {
            $title = Title::unpacked($reading);
            $this->read[$reading] = $title->isUnknown() ? [] : [
                Field::Seniority->value => [$title->seniority->value],
                Field::BusinessFunction->value => array_map(
                    fn ($function): string => $function->value,
                    $title->functions(),
                ),
            ];
        }

        return $this->read[$reading];
    }

    /** @return list<string> what a channel counts as */
    private static function channelValues(string $type, string $state): array
    {
        return match (true) {
            $type !== 'email' => [$type],
            in_array($state, ['invalid', 'disposable', 'off'], true) => ['email_dead'],
            $state === 'valid' => ['email', 'email_checked'],
            default => ['email'],
        };
    }

    private function fold(string $text): string
    {
        if (count($this->folded) > self::REMEMBERED) {
            $this->folded = [];
        }

        return $this->folded[$text] ??= Fold::line($text);
    }

    /**
     * Of a whole stretch from its first to its last, which is answered sooner; a merged one between them is asked for
     * in vain.
     *
     * @param  list<int>  $ids  ascending
     */
    private static function among(array $ids, string $column): string
    {
        $last = $ids[count($ids) - 1];
        if ($last === $ids[0]) {
            return "$column = $last";
        }

        return $last - $ids[0] < 2 * count($ids)
            ? "$column BETWEEN $ids[0] AND $last"
            : "$column IN (".implode(',', $ids).')';
    }

    private static function whole(string|float|int|null $number): ?int
    {
        return $number === null ? null : (int) $number;
    }

    /** @return array<int, list<list<mixed>>> first column → the rest of its rows */
    private function grouped(string $sql): array
    {
        return $this->asked($sql)->fetchAll(PDO::FETCH_GROUP | PDO::FETCH_NUM);
    }

    /** @return iterable<list<mixed>> */
    private function rows(string $sql): iterable
    {
        $statement = $this->asked($sql);
        $statement->setFetchMode(PDO::FETCH_NUM);

        return $statement;
    }

    private function asked(string $sql): PDOStatement
    {
        return $this->database->query($sql) ?: throw new LogicException('PDO is set to throw.');
    }
}
