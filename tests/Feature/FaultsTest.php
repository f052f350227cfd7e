<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\IntakeKind;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Each kind of source with each of the faults that sources have: after it all is as if there had been none, and the
 * history says what went wrong.
 */
final class FaultsTest extends TestCase
{
    use HasOutside {
        setUp as private setUpOutside;
    }

    /** What the history says; nothing where the fault does no harm, or harms single items only. */
    private const SAYS = [
        'slow' => 'It is too slow', 'cut' => 'cut in the middle', '500' => 'a fault of its own (answer 500)',
        '429' => 'asks us to come later', 'redirect' => 'a private network, which is not asked',
        'garbage' => '', 'charset' => '', 'repeated' => '', 'scripts' => '', 'future' => '', 'giant' => '',
        'endless' => '', 'entities' => '',
    ];

    /** Format, address and stand-in. */
    private const SOURCES = [
        'pages of postings' => ['posting-pages', 'jobs/sitemap.xml', 'jobs'],
        'postings as lines' => ['posting-lines', 'jobs/feed.jsonl', 'jobs'],
        'press as Atom' => ['press', 'press/posten/atom.xml', 'press'],
        'press as RSS' => ['press', 'press/posten/rss.xml', 'press'],
        'rounds' => ['funding-rounds', 'register/rounds.json', 'register'],
        'headcounts' => ['headcounts', 'register/headcounts.csv', 'register'],
        'posts' => ['activities', 'topics/leak-surveys/outbox', 'topics'],
        'people' => ['people', 'people/changes.json', 'people'],
        'cards' => ['cards', 'people/m1.vcf', 'people'],
        'sites' => ['site-pages', 'sites/{domain}/', 'sites'],
    ];

    protected function setUp(): void
    {
        $this->setUpOutside();
        $this->offer->rules->update([
            'buyer_roles' => [['name' => 'Maintenance', 'functions' => ['maintenance'], 'weight' => 1]],
            'roles_of_interest' => [
                ['name' => 'Planner', 'title_query' => 'planner', 'functions' => ['maintenance']],
                ['name' => 'Utilities', 'title_query' => 'utilities', 'functions' => ['maintenance']],
            ],
        ]);
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country;city\n"
            ."tunhede.example;Glasverk Tunhede A/S;glass;420;Denmark;Hobro\n"
            ."sverkhult.example;Papir Sverkhult;paper;60;Norway;Halden\n");
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title;profile;email\n"
            ."tunhede.example;Ida;Lie;Planner;https://people.example/ida;\n"
            ."sverkhult.example;Åse;Moe;Planner;;ase@sverkhult.example\n");
        $this->outside();
    }

    /** @return array<string, array{string, string}> */
    public static function faults(): array
    {
        $all = [];
        foreach (array_keys(self::SOURCES) as $source) {
            foreach (array_keys(self::SAYS) as $fault) {
                $all["$source, $fault"] = [$source, (string) $fault];
            }
        }

        return $all;
    }

    #[DataProvider('faults')]
    public function test_after_a_fault_nothing_is_lost_or_double(string $source, string $fault): void
    {
        [$format, $path, $standin] = self::SOURCES[$source];
        $feed = $this->feed($format, $path);
        DB::beginTransaction();
        self::assertNull($this->ask($feed)->problem);
        $expected = $this->base($source === 'sites');
        DB::rollBack();
        $untouched = $this->base(false);
        self::assertNotSame($untouched, $expected);

        $this->fault($standin, $fault);
        $bad = $this->ask($feed);
        $says = $source === 'sites' ? '' : self::SAYS[$fault];
        if ($says !== '') {
            self::assertStringContainsString($says, (string) $bad->problem);
            self::assertSame($untouched, $this->base(false), 'nothing half there');
        }
        self::assertSame($bad->problem, $feed->refresh()->problem);
        if ($fault === '429' && $says !== '') {
            self::assertSame('2026-11-23 09:10:00', $feed->next_at?->toDateTimeString());
        }
        self::assertStringNotContainsString('root:', (string) json_encode(DB::table('feed_items')->pluck('facts')));

        $this->fault($standin, null);
        if ($source === 'sites') {
            // A page is visited once a week.
            $this->itIs(CarbonImmutable::parse(self::NOW)->addDays(7)->addHour()->toIso8601ZuluString());
        }
        $good = $this->ask($feed);
        self::assertNull($good->problem);
        self::assertSame(0, $feed->refresh()->failures);
        self::assertSame($expected, $this->base($source === 'sites'));
        self::assertStringNotContainsString('<script', (string) json_encode($this->base(false)));
        $this->ask($feed);
        self::assertSame($expected, $this->base($source === 'sites'), 'asked once more');
    }

    /** @return array<string, mixed> what feeds change of a base */
    private function base(bool $isOfSites): array
    {
        $list = fn (string $table, string ...$columns): array => DB::table($table)->orderBy($columns[0])
            ->orderBy($columns[1] ?? $columns[0])->get($columns)->map(fn ($row): array => array_values((array) $row))
            ->all();

        return [
            'signals' => DB::table('signals')->join('accounts', 'accounts.id', '=', 'account_id')->orderBy('title')
                ->orderBy('domain')->get(['domain', 'title', 'strength', ...$isOfSites ? [] : ['occurred_at']])
                ->map(fn ($row): array => array_values((array) $row))->all(),
            'openings' => $list('openings', 'title', 'since', 'closed_at', 'postings'),
            'contacts' => $list('contacts', 'last_name', 'title'),
            'positions' => $list('positions', 'title', 'since', 'until'),
            'months' => $list('headcounts', 'month', 'function', 'heads'),
            'candidates' => $list('candidates', 'name', 'company'),
            'companies' => $list('candidate_companies', 'name', 'domain'),
            'runs' => DB::table('account_technology')->join('technologies', 'technologies.id', '=', 'technology_id')
                ->orderBy('name')->pluck('name')->all(),
        ];
    }

    /** What the outside world has to tell, with letters that are not in every charset. */
    private function outside(): void
    {
        $this->world('postings', [
            $this->posting(1), $this->posting(2, ['title' => 'Utilities engineer']),
            $this->posting(3, ['domain' => 'nowhere.example', 'employer' => 'Ørnhult Glas']),
        ]);
        $this->world('reports', [
            $this->report(1, 'Glasverk Tunhede builds a new hall in Ålborg – soon'),
            $this->report(2, 'Papir Sverkhult: hiring stopped', ['text' => 'No more.']),
        ]);
        $this->world('rounds', array_map(fn (int $i): array => [
            'id' => "r$i", 'domain' => ['tunhede.example', 'sverkhult.example'][$i], 'at' => '2026-11-20T00:00:00Z',
            'round' => 'B', 'amount' => 12e6, 'currency' => 'EUR',
        ], [0, 1]));
        $months = fn (int ...$heads): array => array_combine(
            array_map(fn (int $i): string => sprintf('2026-%02d', $i + 8), array_keys($heads)),
            array_map(fn (int $one): array => ['' => $one], $heads),
        );
        $this->world('headcounts', [
            ['domain' => 'tunhede.example', 'months' => $months(400, 410, 430, 450)],
            ['domain' => 'sverkhult.example', 'months' => $months(60, 60, 61, 60)],
        ]);
        $this->world('deeds', array_map(fn (int $i): array => [
            'id' => $i, 'topic' => 'leak-surveys', 'post' => "https://posts.example/$i", 'deed' => 'commented',
            'at' => '2026-11-22T08:00:00Z', 'profile' => 'https://people.example/'.['ida', 'olav'][$i % 2],
            'name' => ['Ida Lie', 'Ølav Bø'][$i % 2], 'company' => 'Glasverk', 'title' => 'Planner',
            'text' => 'Luften koster – mer enn lyset.',
        ], [0, 1, 2]));
        $this->world('moves', [[
            'id' => 'm1', 'name' => 'Åse Moe', 'email' => 'ase@sverkhult.example', 'at' => '2026-11-20T08:00:00Z',
            'positions' => [
                ['title' => 'Head of Maintenance', 'domain' => 'tunhede.example', 'since' => '2026-11-02'],
                ['title' => 'Planner', 'domain' => 'sverkhult.example', 'since' => '2020-01-01',
                    'until' => '2026-11-02'],
            ],
        ]]);
        $this->world('sites', [[
            'domain' => 'tunhede.example', 'name' => 'Tunhede', 'text' => 'Glass.',
            'runs' => [['Tryklog', '2024-01-01T00:00:00Z', null], ['Ordvika', '2024-01-01T00:00:00Z', null]],
        ]]);
    }
}
