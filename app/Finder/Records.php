<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use App\Standings\RuleBook;
use App\Support\AccountField;
use App\Support\Districts;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use LogicException;
use Luftig\Core\Index\Indexer;
use Luftig\Core\Index\Record;
use Luftig\Core\Search\Field;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Posting;
use PDO;
use PDOStatement;

/**
 * What the Finder knows of accounts and their contacts, as an offer sees them; read in rows and not in models, a
 * million at a time.
 */
final class Records
{
    private const CHUNK = 1000;

    private const DAY = 86_400;

    /** Of a posting so much is looked into. */
    private const TEXT = 4000;

    /** Of what their pages say. */
    private const SITE = 8000;

    private readonly int $today;

    private readonly float $now;

    private readonly Catalogue $catalogue;

    private readonly FoldedLines $folds;

    private readonly AccountRecord $accounts;

    private readonly ContactRecord $contacts;

    private readonly PDO $database;

    /** Of openings, whether they are. */
    private readonly string $open;

    public function __construct(private readonly Offer $offer)
    {
        $this->database = DB::connection()->getPdo();
        $this->today = intdiv(CarbonImmutable::today()->getTimestamp(), 86400);
        $this->now = (float) CarbonImmutable::now()->getTimestamp();
        $this->open = "(closed_at IS NULL OR closed_at > '".CarbonImmutable::now()->toDateTimeString()."')";
        $offer->loadMissing('rules');
        $this->catalogue = $offer->rules === null ? Catalogue::standard() : RuleBook::catalogueOf($offer->rules);
        $this->folds = new FoldedLines;
        $roles = array_column($offer->rules->buyer_roles ?? [], 'name');
        $districts = new Districts;
        $this->accounts = new AccountRecord($roles, $districts);
        $this->contacts = new ContactRecord($roles, $this->today, new CustomerTimes, $this->folds, $districts);
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
            $openings = $this
                ->asked("SELECT account_id, COUNT(*) FROM openings WHERE account_id IN ($in) GROUP BY account_id")
                ->fetchAll(PDO::FETCH_KEY_PAIR);
            foreach (
                $this->rows("SELECT id FROM accounts WHERE id IN ($in) AND merged_into IS NULL ORDER BY id") as [$id]
            ) {
                $pages[$id] = Indexer::pagesFor($contacts[$id] ?? 0, $events[$id] ?? 0, $openings[$id] ?? 0);
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
                'SELECT account_id, kind, UNIX_TIMESTAMP(occurred_at), strength, facts, title, quote, contact_id, link '
                    ."FROM signals WHERE {$on('account_id')} AND (offer_id IS NULL OR offer_id = {$this->offer->id})",
            );
            $openings = $this->grouped('SELECT account_id, title, LEFT(text, '.self::TEXT.'), place, type, '
                ."TO_DAYS(newest_at) - 719528, {$this->open} FROM openings WHERE {$on('account_id')}");
            foreach ($this->rowsOfAccounts($on('a.id')) as $row) {
                $account = $row['id'];
                $ranked = array_column(json_decode($row['contacts'] ?? '[]', true), null, 0);
                $events = $engaged = [];
                $newest = null;
                foreach ($signals[$account] ?? [] as $signal) {
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
                foreach ($contacts[$account] ?? [] as $contact) {
                    $people[$contact[0]] = $contact;
                    if ($contact[7] !== null) {
                        $channels[$contact[0]][] = $contact;
                    }
                }
                $own = $affiliations = $positions = [];
                foreach ($facts[$account]['affiliation'] ?? [] as [$id, $kind, $name]) {
                    $affiliations[$id][] = [$kind, $name];
                }
                foreach ($facts[$account]['position'] ?? [] as [$id, $at, $company, $title, $reading, $since, $until]) {
                    // What stands in one column with texts, or with fractions, comes as these.
                    $positions[$id][] = [
                        self::whole($at), self::whole($at) === $account ? $row['name'] : $company, $title,
                        (int) $reading,
                        self::whole($since), self::whole($until),
                    ];
                }
                foreach ($people as $id => $contact) {
                    $own[] = $this->contacts->of(
                        $account,
                        $contact,
                        $positions[$id] ?? [],
                        $channels[$id] ?? [],
                        $affiliations[$id] ?? [],
                        $ranked[$id] ?? null,
                        $engaged[$id] ?? null,
                        $row['state'],
                    );
                }
                $sought = isset($openings[$account]) ? array_map(
                    $this->opening(...),
                    array_values(array_filter($openings[$account], fn (array $one): bool => (bool) $one[5])),
                ) : null;
                yield $this->accounts
                    ->of($row, $facts[$account] ?? [], $own, $events, $newest, $ranked, $sought);
            }
        }
    }

    /** @param  list<mixed>  $row  title, text, place, employment types, day of the newest posting */
    public function opening(array $row): Record
    {
        [$title, $text, $place, $type, $day] = $row;
        $types = Posting::types((string) $type);

        return new Record(
            0,
            $types === [] ? [] : [Field::OpeningType->value => $types],
            [Field::OpeningAge->value => (int) $day],
            [Field::OpeningTitle->value => $this->folds->line($title)]
                + [Field::OpeningText->value => $this->folds->line(trim("$title\n$text"))]
                + ($place === null ? [] : [Field::OpeningPlace->value => $this->folds->line($place)]),
        );
    }

    /** @param  list<mixed>  $row  kind, time, strength, facts, title, quote, whose own, link */
    public function event(array $row): Record
    {
        [$kind, $time, $strength, $facts, $title, $quote, $whose, $link] = $row;
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

        // A post is told by its address; elsewhere that would only make each text one of its own.
        $text = $this->folds->line(
            implode(' ', array_filter([$title, $quote, $kind === 'post_engagement' ? $link : null])),
        );

        return new Record((int) $whose, $values, $numbers, ['event_text' => $text]);
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

    /** @return iterable<array<string, mixed>> the columns of accounts and of their standings */
    private function rowsOfAccounts(string $which): iterable
    {
        $own = implode(', ', array_map(
            fn (string $column): string => "a.$column",
            ['id', 'name', 'domain', 'owner_id', 'revenue', ...array_keys(AccountField::all())],
        ));
        $statement = $this->asked(
            "SELECT $own, parent.name AS parent, trends.says AS trends, LEFT(site_texts.text, ".self::SITE
                .') AS site, state, fit, coverage, push, access, points, priority, `lines`, s.contacts, '
                .'(SELECT TO_DAYS(MAX(made_at)) - 719528 FROM approaches WHERE account_id = a.id AND '
                ."offer_id = {$this->offer->id}) AS approached FROM accounts a LEFT JOIN accounts parent ON "
                .'parent.id = a.parent_id LEFT JOIN trends ON trends.account_id = a.id LEFT JOIN site_texts ON '
                .'site_texts.account_id = a.id LEFT JOIN standings s ON '
                ."s.account_id = a.id AND s.offer_id = {$this->offer->id} WHERE $which AND a.merged_into IS NULL "
                .'ORDER BY a.id',
        );
        $statement->setFetchMode(PDO::FETCH_ASSOC);

        return $statement;
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
