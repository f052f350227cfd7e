<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Feeds\PressClasses;
use App\Intake\Importer;
use App\Intake\ReceiveFile;
use App\Models\Account;
use App\Models\Alert;
use App\Models\AlertAbout;
use App\Models\Approach;
use App\Models\Budget;
use App\Models\Contact;
use App\Models\Feed;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\LookUpService;
use App\Models\Note;
use App\Models\Offer;
use App\Models\PressClass;
use App\Models\RuleSet;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Network\Intros;
use App\Standings\RuleBook;
use App\Standings\Snapshot;
use App\Standings\Standings;
use App\Support\Gazetteer;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\Hash;
use Luftig\Core\Signal\Kind;

/**
 * Fills an empty base with the invented world of Blåsvik Metering. Its facts are written as files, and come in as a
 * user's own would.
 */
final class Scenario
{
    /** What really makes people answer; learning has to find it. */
    private const HIDDEN = [
        'hiring' => 2.2, 'new_leader' => 6.5, 'customer_alum' => 8.0, 'post_engagement' => 5.5, 'funding' => 1.2,
        'expansion' => 4.0, 'news' => .2, 'growth' => 1.5,
    ];

    /** The seed of what customers tell. */
    private const STORIES = 41;

    /** Approaches of a day, of so many times as many accounts that are met, and days until one is met again. */
    private const A_DAY = 20;

    private const MET = 12;

    private const REST = 31;

    /** At most so many days are played, where there are too few accounts for all approaches. */
    private const DAYS = 300;

    /** A month. */
    private const TEAM_CREDITS = 600;

    private readonly Dice $dice;

    private readonly CarbonImmutable $now;

    private readonly Acquaintances $acquaintances;

    private readonly Outside $outside;

    private readonly Moves $moves;

    private readonly Dice $crafts;

    /** @var array<string, string> domain → what the firm really makes */
    public array $made = [];

    /** @var list<array<string, mixed>> who was made, with what has to follow from their positions under `truth` */
    public array $people = [];

    public function __construct(
        private readonly int $accounts = 1200,
        private readonly int $contacts = 9000,
        private readonly int $signals = 6000,
        private readonly int $approaches = 400,
        private readonly int $relations = 3500,
        int $seed = 23,
    ) {
        $this->dice = new Dice($seed);
        $this->now = CarbonImmutable::now();
        $this->acquaintances = new Acquaintances(new Dice($seed + 1), $this->now);
        $this->outside = new Outside(new Dice($seed + 2), $this->now);
        $this->moves = new Moves(new Dice($seed + 3), $this->now);
        $this->crafts = new Dice($seed + 4);
    }

    /** @param  Closure(string): void  $say */
    public function load(Closure $say): void
    {
        activity()->disableLogging();
        Gazetteer::load();
        $team = $this->team();
        $this->offers($team[4]);
        $companies = (new Companies($this->dice, new Crafts($this->crafts)))->make($this->accounts);
        foreach ($companies as $company) {
            $this->made[$company['truth']['domain']] = $company['truth']['craft'] ?? '';
        }
        [$customers, $lasting] = $this->customers($companies);
        $people = (
            new People(
                $this->dice,
                $this->now->getTimestamp(),
                new Arrivals($this->dice, $this->now->getTimestamp(), $lasting),
                new Careers($this->dice, $this->now->getTimestamp()),
            )
        )
            ->make($companies, $this->contacts);
        $people = $this->acquaintances
            ->affiliated($people, array_column(array_column($companies, 'truth'), 'country', 'domain'));
        $happenings = new Happenings($this->dice, $this->now->getTimestamp());
        $signals = $happenings->make($companies, $people, $this->signals);
        $people = Outside::profiles($people, $signals);
        $this->people = $people;
        $say(
            sprintf(
                '%d accounts, %d contacts and %d signals of an invented world come in …',
                count($companies),
                count($people),
                $this->signals,
            ),
        );
        $plain = fn (array $row): array => array_diff_key($row, ['truth' => 0, 'address' => 0]);
        $this->bring(IntakeKind::Accounts, 'accounts.csv', array_map($plain, $companies), $team[4]);
        $this->bring(IntakeKind::Customers, 'customers.csv', $customers, $team[4]);
        $this->bring(IntakeKind::Contacts, 'contacts.csv', array_map($plain, $people), $team[4]);
        $this->bring(
            IntakeKind::Signals, 'signals.csv', $this->outside->tell($companies, $people, $signals), $team[4],
        );
        $this->outside->write(
            config()->string('luftig.world'),
            $this->moves->tell($companies, $people, $customers, $lasting),
            Outside::addresses($people),
            Outside::figures($companies),
        );
        $this->feeds($team[4]);
        $this->lookUps($team[4]);
        $this->bring(IntakeKind::Accounts, 'fair-accounts.csv', Stories::fair(), $team[0]);
        $this->bring(IntakeKind::Contacts, 'fair-visitors.csv', Stories::visitors(), $team[0]);
        // Each brings their own; those of the leaders come through the lead.
        $books = collect($this->acquaintances->books($people, $team, $this->relations))->groupBy('known by');
        foreach (array_filter($team, fn (User $one): bool => $books->has($one->name)) as $one) {
            $this->bring(
                IntakeKind::Relations,
                'relations.csv',
                array_values($books[$one->name]->all()),
                $one->signs_in ? $one : $team[4],
            );
        }
        $this->acquaintances->stations($team);
        KeepOut::query()->create([
            'type' => 'domain', 'value' => 'papper-brannhult.example', 'reason' => 'asked not to be contacted',
            'user_id' => $team[4]->id,
        ]);
        Intros::refreshIfChanged();
        (new Standings)->refresh();
        Alert::query()->create([
            'user_id' => $team[0]->id, 'offer_id' => Offer::query()->orderBy('id')->value('id'),
            'about' => AlertAbout::Everyone, 'kinds' => ['new_leader', 'customer_alum', 'tech_dropped'],
        ]);
        (new CustomerStories(new Dice(self::STORIES), $this->now))->write(
            Offer::query()->orderBy('id')->firstOrFail(), $team[4],
        );
        $this->history($team);
    }

    /** @return list<User> four reps, the lead, the admin, and two leaders who never sign in */
    private function team(): array
    {
        $password = Hash::make('blasvik-demo');
        $make = fn (string $name, string $role, bool $signsIn = true): User => User::query()->create([
            'name' => $name, 'email' => $signsIn ? mb_strtolower(strtok($name, ' ')).'@blasvik.example' : null,
            'password' => $signsIn ? $password : null, 'role' => $role, 'signs_in' => $signsIn,
        ]);

        return [
            $make('Mira Sollbäcke', 'rep'), $make('Anton Rönnfält', 'rep'), $make('Selma Lysmark', 'rep'),
            $make('Jonte Askgrim', 'rep'),
            $make('Ylva Granhagel', 'lead'), $make('Bosse Tallvall', 'admin'), $make('Greta Nystierna', 'rep', false),
            $make('Vilgot Almskar', 'rep', false),
        ];
    }

    private function offers(User $lead): void
    {
        foreach (Rulebooks::all() as $name => $rules) {
            $offer = Offer::query()
                ->create(['name' => $name, 'about' => $rules['about'], 'question' => $rules['question']]);
            RuleSet::query()->create([
                'offer_id' => $offer->id, 'version' => 1, 'criteria' => $rules['criteria'], 'kinds' => $rules['kinds'],
                'buyer_roles' => $rules['buyer_roles'], 'roles_of_interest' => $rules['roles_of_interest'],
                'technologies' => $rules['technologies'], 'topics' => $rules['topics'],
                'angles' => $rules['angles'] ?? [],
                'author_id' => $lead->id, 'note' => 'first rules',
            ]);
        }
    }

    /** Feeds that ask the stand-ins. */
    private function feeds(User $lead): void
    {
        PressClasses::all();
        // What only this team looks for.
        PressClass::query()->create([
            'name' => 'rival', 'kind' => Kind::RivalSigned, 'query' => 'signed AND "maker of compressors"',
            'position' => PressClass::query()->count(),
        ]);
        foreach ([
            ['Job board', 'posting-lines', 'jobs/feed.jsonl?since=', 30, .9],
            ['Dispatch', 'press', 'press/dispatch/atom.xml', 5, .9],
            ['Posten', 'press', 'press/posten/rss.xml', 5, .9],
            ['Anzeiger', 'press', 'press/anzeiger/atom.xml', 5, .9],
            ['Posts on power prices', 'activities', 'topics/power-prices/outbox', 5, .9],
            ['Posts on leak surveys', 'activities', 'topics/leak-surveys/outbox', 5, .9],
            ['Posts on energy audits', 'activities', 'topics/energy-audits/outbox', 5, .9],
            ["People's moves", 'people', 'people/changes.json?since=', 60, .9],
            ['Pages of the accounts', 'site-pages', 'sites/{domain}/', 1440, .9],
            ['Headcounts', 'headcounts', 'register/headcounts.csv', 1440, .9],
            ['Register of rounds', 'funding-rounds', 'register/rounds.json', 360, .9],
        ] as [$name, $format, $path, $rhythm, $confidence]) {
            Feed::query()->create(compact('name', 'format', 'rhythm', 'confidence') + [
                'address' => Outside::address()."/$path", 'user_id' => $lead->id,
            ]);
        }
    }

    /** Services that find and check addresses and know figures, asked in this order; what may be spent on them. */
    private function lookUps(User $lead): void
    {
        foreach ([
            ['Granvittne', 'find', 'granvittne', 2], ['Mossregister', 'find', 'mossregister', 3],
            ['Snarfynd', 'find', 'snarfynd', 1], ['Ekoprov', 'check', 'ekoprov', 0],
            ['Siffergranskog', 'know', 'siffergranskog', 1],
        ] as $i => [$name, $does, $path, $price]) {
            LookUpService::query()->create(compact('name', 'does', 'price') + [
                'address' => Outside::address()."/$path", 'position' => $i, 'user_id' => $lead->id,
            ]);
        }
        Budget::query()->create(['user_id' => null, 'credits' => self::TEAM_CREDITS]);
        Budget::query()->create(['user_id' => $lead->id, 'credits' => self::TEAM_CREDITS]);
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function bring(IntakeKind $kind, string $name, array $rows, User $by): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'luftig-demo-');
        $file = fopen($path, 'wb') ?: throw new \RuntimeException("The file $path cannot be written.");
        fputcsv($file, array_keys($rows[0]), ';', '"', '');
        foreach ($rows as $row) {
            fputcsv($file, array_values($row), ';', '"', '');
        }
        fclose($file);
        $intake = ReceiveFile::file($path, $name, $by, $kind);
        unlink($path);
        $intake->update(['state' => 'queued']);
        (new Importer)->run($intake);
    }

    /**
     * @param  list<array<string, mixed>>  $companies
     * @return array{list<array<string, mixed>>, list<array{domain: string, since: int}>} rows, and those that are
     *     customers still
     */
    private function customers(array $companies): array
    {
        $rows = [[
            'domain' => 'zielorzyce-farma.example',
            'customer since' => $this->now->subDays(1400)->format('n/Y'),
            'customer until' => '',
            'best' => 'yes',
        ]];
        $lasting = [];
        foreach ($companies as $company) {
            if (
                count($rows) < 34
                && $company['truth']['maker']
                && ! isset($company['truth']['story'])
                && $company['truth']['heads'] > 60
            ) {
                $since = $this->dice->int(150, 2000);
                $ended = count($rows) % 9 === 8;
                $rows[] = [
                    'domain' => $company['truth']['domain'],
                    'customer since' => $this->now->subDays($since)->format('n/Y'),
                    'customer until' => $ended ? $this->now->subDays((int) ($since / 3))->format('d.m.Y') : '',
                    'best' => $this->dice->chance(.25) ? 'yes' : '',
                ];
                if (! $ended) {
                    $lasting[] = ['domain' => $company['truth']['domain'], 'since' => $since];
                }
            }
        }

        return [$rows, $lasting];
    }

    /**
     * The log odds that they answer, which nobody is told.
     *
     * @param  array{fit: float, access: float, kinds: array<string, float>}  $snapshot
     */
    public static function truth(array $snapshot): float
    {
        $sum = -8.6 + 3.5 * $snapshot['fit'] + 2.8 * $snapshot['access'];
        foreach ($snapshot['kinds'] as $kind => $x) {
            $sum += (Kind::tryFrom($kind) === null ? 0 : self::HIDDEN[$kind] ?? .5) * $x;
        }

        return $sum;
    }

    /**
     * Whom the reps approached: on each of some days the best of those whom they met.
     *
     * @param  list<int>  $accounts
     * @return list<array{int, CarbonImmutable, array{fit: float, access: float, kinds: array<string, float>,
     *     priority: float|null}}>
     */
    private function approached(RuleBook $book, array $accounts): array
    {
        $approached = $last = [];
        for ($try = 0; $try < self::DAYS && count($approached) < $this->approaches; $try++) {
            $day = $this->now->subDays($this->dice->int(3, 200))->startOfDay();
            $met = array_filter(
                array_unique(array_map(
                    fn (): int => $this->dice->pick($accounts),
                    range(1, self::A_DAY * self::MET),
                )),
                // Nobody is approached twice within a month.
                fn (int $account): bool => array_filter(
                    $last[$account] ?? [],
                    fn (CarbonImmutable $other): bool => abs($other->diffInDays($day)) < self::REST,
                ) === [],
            );
            $snapshots = Snapshot::many($book, array_values($met), $day->setTime(7, 0));
            uasort($snapshots, static fn (array $a, array $b): int => $b['priority'] <=> $a['priority']);
            foreach (array_slice($snapshots, 0, self::A_DAY, true) as $account => $snapshot) {
                $at = $day->setTime($this->dice->int(7, 15), $this->dice->int(0, 59));
                $approached[] = [$account, $at, $snapshot];
                $last[$account][] = $day;
            }
        }

        return array_slice($approached, 0, $this->approaches);
    }

    /**
     * Past approaches, with results that follow hidden weights.
     *
     * @param  list<User>  $team
     */
    private function history(array $team): void
    {
        $offer = Offer::query()->with('rules')->orderBy('id')->firstOrFail();
        $book = RuleBook::of($offer->rules);
        $ids = Standing::query()->where('offer_id', $offer->id)
            ->whereIn('state', [StandingState::Ranked, StandingState::Waiting])->orderBy('account_id')
            ->pluck('account_id')->all();
        $stories = Account::query()->whereIn('domain', array_column(Stories::accounts(), 'domain'))->pluck('id')->all();
        $ids = array_values(array_diff($ids, $stories));
        $contacts = [];
        foreach (Contact::query()->toBase()->orderBy('id')->pluck('account_id', 'id') as $id => $account) {
            $contacts[$account][] = $id;
        }
        $ids = array_values(array_intersect($ids, array_keys($contacts)));
        $rows = [];
        foreach ($this->approached($book, $ids) as [$account, $at, $snapshot]) {
            $answered = $this->dice->chance(1 / (1 + exp(-self::truth($snapshot))));
            $result = $answered ? $this->dice->pick(['interested', 'meeting']) : $this->dice->weighted(
                ['silent' => 62, 'no' => 14, 'later' => 8, 'wrong_person' => 7, 'bounced' => 5, 'left' => 4],
            );
            $rows[] = [
                'offer_id' => $offer->id, 'account_id' => $account,
                'contact_id' => $this->dice->pick($contacts[$account]),
                'user_id' => $this->dice->pick(array_slice($team, 0, 4))->id,
                'kind' => $this->dice->pick(['email', 'call', 'message', 'connect']), 'made_at' => $at,
                'result' => $result, 'result_at' => $at->addDays($this->dice->int(1, 9))->min($this->now),
                'later_on' => $result === 'later' ? $at->addDays(90)->toDateString() : null,
                'snapshot' => json_encode($snapshot, JSON_THROW_ON_ERROR), 'created_at' => $at, 'updated_at' => $at,
            ];
        }
        Approach::query()->insert($rows);
        if ($this->approaches > 0) {
            (new Reasons($this->dice, $this->now))->write($offer, array_slice($team, 0, 4), array_values($stories));
        }
        $tunhede = Account::query()->where('domain', 'tunhede.example')->firstOrFail();
        Note::query()->create([
            'account_id' => $tunhede->id,
            'user_id' => $team[1]->id,
            'text' => 'Met their plant manager at the fair in May: the fourth line will double what they need in air.',
        ]);
    }
}
