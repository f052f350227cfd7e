<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use App\Standings\StandingState;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Finder\Field;
use Luftig\Core\Finder\Record;
use Luftig\Core\Firm\IndustryTree;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PostHeld;
use Luftig\Core\Person\Title;
use Luftig\Core\Signal\Timing;
use Luftig\Core\Text\Fold;
use PDO;
use PDOStatement;

/** What the Finder knows of accounts and their contacts, as an offer sees them; read in rows and not in models, a million at a time. */
final class Records
{
    private const CHUNK = 1000;

    /** Up to so many days one is new in a post. */
    private const NEW = 180;

    private const REMEMBERED = 50_000;

    private readonly int $today;

    /** @var array<string, string> */
    private array $folded = [];

    /** @var array<int, array<string, list<string>>> reading → seniority and functions */
    private array $read = [];

    public function __construct(private readonly Offer $offer)
    {
        $this->today = intdiv(CarbonImmutable::today()->getTimestamp(), 86400);
    }

    /**
     * @param  list<int>|null  $accounts  null: all
     * @return array<int, int> account → how many contacts, in the order in which read() gives them
     */
    public function sizes(?array $accounts = null): array
    {
        $which = $accounts === null ? '' : ' AND a.id IN ('.implode(',', [0, ...$accounts]).')';
        $sizes = [];
        foreach ($this->rows("SELECT a.id, COUNT(c.id) FROM accounts a LEFT JOIN contacts c ON c.account_id = a.id AND c.merged_into IS NULL WHERE a.merged_into IS NULL$which GROUP BY a.id ORDER BY a.id") as [$id, $count]) {
            $sizes[$id] = $count;
        }

        return $sizes;
    }

    /**
     * @param  list<int>  $accounts  ascending
     * @return Generator<Record>
     */
    public function read(array $accounts): Generator
    {
        foreach (array_chunk($accounts, self::CHUNK) as $ids) {
            $in = implode(',', $ids);
            $industries = $this->grouped("SELECT account_id, code FROM account_industry WHERE account_id IN ($in) AND code IS NOT NULL");
            $technologies = $this->grouped("SELECT account_id, name FROM account_technology JOIN technologies ON technologies.id = technology_id WHERE account_id IN ($in)");
            $places = $this->grouped("SELECT account_id, headquarters, country, region, city, postal_code, latitude, longitude FROM places WHERE account_id IN ($in)");
            $contacts = $this->grouped("SELECT account_id, id, title, reading, about, interests FROM contacts WHERE account_id IN ($in) AND merged_into IS NULL");
            $posts = $this->grouped("SELECT contact_id, p.account_id, COALESCE(a.name, company), p.title, p.reading, TO_DAYS(since) - 719528, TO_DAYS(until) - 719528 FROM posts p JOIN contacts c ON c.id = contact_id LEFT JOIN accounts a ON a.id = p.account_id WHERE c.account_id IN ($in)");
            $channels = $this->grouped("SELECT contact_id, type, state FROM channels JOIN contacts c ON c.id = contact_id WHERE c.account_id IN ($in)");
            $newest = $this->grouped("SELECT account_id, TO_DAYS(MAX(occurred_at)) - 719528 FROM signals WHERE account_id IN ($in) AND (offer_id IS NULL OR offer_id = {$this->offer->id}) AND occurred_at <= UTC_DATE() GROUP BY account_id");
            $approached = $this->grouped("SELECT account_id, TO_DAYS(MAX(made_at)) - 719528 FROM approaches WHERE account_id IN ($in) AND offer_id = {$this->offer->id} GROUP BY account_id");
            foreach ($this->rows("SELECT a.id, name, owner_id, description, keywords, headcount, revenue, growth, sites, founded, state, fit, push, access, points, priority, `lines`, s.contacts FROM accounts a LEFT JOIN standings s ON s.account_id = a.id AND s.offer_id = {$this->offer->id} WHERE a.id IN ($in) ORDER BY a.id") as $row) {
                $ranked = array_column(json_decode($row[17] ?? '[]', true), null, 0);
                $own = [];
                foreach ($contacts[$row[0]] ?? [] as $contact) {
                    $own[] = $this->contact($row[0], $contact, $posts[$contact[0]] ?? [], $channels[$contact[0]] ?? [], $ranked[$contact[0]] ?? null);
                }
                yield $this->account($row, $places[$row[0]] ?? [], array_column($industries[$row[0]] ?? [], 0), array_column($technologies[$row[0]] ?? [], 0), $own, $newest[$row[0]][0][0] ?? null, $approached[$row[0]][0][0] ?? null);
            }
        }
    }

    /**
     * @param  list<mixed>  $row
     * @param  list<list<mixed>>  $places
     * @param  list<string>  $industries
     * @param  list<string>  $technologies
     * @param  list<Record>  $contacts
     * @param  int|null  $newest  day of the newest signal, since 1970
     * @param  int|null  $approached  day of the last approach
     */
    private function account(array $row, array $places, array $industries, array $technologies, array $contacts, ?int $newest, ?int $approached): Record
    {
        [$id, $name, $owner, $description, $keywords, $headcount, $revenue, $growth, $sites, $founded, $state, $fit, $push, $access, $points, $priority, $lines] = $row;
        $values = [Field::Owner->value => [$owner === null ? 'nobody' : (string) $owner], Field::Signal->value => array_values(array_unique(array_column(json_decode($lines ?? '[]', true), 1)))];
        $coordinates = [];
        foreach ($places as [$isSeat, $country, $region, $city, $postal, $latitude, $longitude]) {
            if ($latitude !== null) {
                $coordinates[] = [(float) $latitude, (float) $longitude];
            }
            if ($isSeat) {
                $values += array_filter([Field::Country->value => [$country], Field::Region->value => [$region], Field::City->value => [$city]], fn (array $value): bool => $value[0] !== null);
                $code = str_replace(' ', '', (string) $postal);
                if ($code !== '') {
                    $values[Field::PostalArea->value] = array_map(fn (int $length): string => substr($code, 0, $length), range(1, min(5, strlen($code))));
                }
            }
        }
        if ($industries !== []) {
            $values[Field::Industry->value] = array_values(array_unique(array_merge(...array_map(IndustryTree::path(...), $industries))));
        }
        if ($technologies !== []) {
            $values[Field::Technology->value] = $technologies;
        }
        if ($state !== null) {
            $values[Field::State->value] = [$state];
        }
        $numbers = array_filter([
            Field::Headcount->value => $headcount, Field::Revenue->value => $revenue, Field::Growth->value => $growth, Field::Sites->value => $sites, Field::Founded->value => $founded,
            Field::Fit->value => $fit, Field::Timing->value => $push === null ? null : Timing::shown((float) $push), Field::Access->value => $access, Field::Priority->value => $priority, Field::KnownContacts->value => count($contacts), Field::NewestSignal->value => $newest, Field::LastApproach->value => $approached,
        ], fn ($value): bool => $value !== null);

        return new Record($id, $values, $numbers, [Field::Name->value => Fold::line($name), Field::Words->value => Fold::line("$name $keywords $description")], $coordinates === [] ? null : $coordinates, $contacts, ($state === StandingState::Ranked->value ? 1000 : 0) + (float) $points);
    }

    /**
     * @param  list<mixed>  $row
     * @param  list<list<mixed>>  $posts
     * @param  list<list<mixed>>  $channels
     * @param  array{int, float, string}|null  $ranked  id, priority, part
     */
    private function contact(int $account, array $row, array $posts, array $channels, ?array $ranked): Record
    {
        [$id, $title, $reading, $about, $interests] = $row;
        $career = $posts === [] ? null : Career::at($account, array_map(static fn (array $post): PostHeld => new PostHeld($post[0], (string) $post[2], Title::unpacked($post[3]), $post[4], $post[5]), $posts));
        $since = $career?->now?->since;
        $values = $this->titleValues($reading) + [Field::Part->value => [$ranked[2] ?? 'none'], Field::Channel->value => self::channelValues($channels)];
        if ($career !== null && $since !== null) {
            $values[Field::Arrival->value] = [$this->today - $since > self::NEW ? 'settled' : $career->arrival()->value];
        }
        $numbers = array_filter([Field::InPost->value => $since, Field::InCompany->value => $career?->atAccountSince()], static fn (?int $value): bool => $value !== null);
        $before = array_filter($posts, static fn (array $post): bool => $post[5] !== null);
        $texts = array_filter([
            Field::Title->value => (string) $title, Field::About->value => trim("$about $interests"),
            Field::TitleBefore->value => implode(' · ', array_column($before, 2)), Field::CompanyBefore->value => implode(' · ', array_column($before, 1)),
        ], static fn (string $text): bool => $text !== '');

        return new Record($id, $values, $numbers, array_map($this->fold(...), $texts), order: $ranked[1] ?? 0.0);
    }

    /** @return array<string, list<string>> */
    private function titleValues(int $reading): array
    {
        if (! isset($this->read[$reading])) {
            $title = Title::unpacked($reading);
            $this->read[$reading] = $title->isUnknown() ? [] : [Field::Seniority->value => [$title->seniority->value], Field::BusinessFunction->value => array_map(fn ($function): string => $function->value, $title->functions())];
        }

        return $this->read[$reading];
    }

    /**
     * @param  list<list<mixed>>  $channels  type and state
     * @return list<string>
     */
    private static function channelValues(array $channels): array
    {
        $values = [];
        foreach ($channels as [$type, $state]) {
            if ($type !== 'email') {
                $values[$type] = true;
            } elseif (in_array($state, ['invalid', 'disposable', 'off'], true)) {
                $values['email_dead'] = true;
            } else {
                $values['email'] = true;
                if ($state === 'valid') {
                    $values['email_checked'] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($values));
    }

    private function fold(string $text): string
    {
        if (count($this->folded) > self::REMEMBERED) {
            $this->folded = [];
        }

        return $this->folded[$text] ??= Fold::line($text);
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
        $statement = DB::connection()->getPdo()->prepare($sql);
        $statement->execute();

        return $statement;
    }
}
