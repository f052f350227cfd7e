<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\DecideMention;
use App\Feeds\HiringSignals;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Candidate;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\IntakeKind;
use App\Models\ItemState;
use App\Models\Mention;
use App\Models\Offer;
use App\Models\Opening;
use App\Models\Signal;
use App\Models\StruckSignal;
use App\Standings\NewRules;
use App\Standings\Standings;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Aboutness;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Kind;
use Tests\TestCase;

/** What feeds bring, and what it becomes. */
final class FeedsTest extends TestCase
{
    use HasOutside {
        setUp as private setUpOutside;
    }

    private Account $tunhede;

    protected function setUp(): void
    {
        $this->setUpOutside();
        $this->offer->ruleSets()->create([
            'version' => 2, 'kinds' => [], 'criteria' => [], 'buyer_roles' => [], 'roles_of_interest' => [
                ['name' => 'Planner', 'title_query' => 'planner', 'text_query' => '"compressed air" OR steam',
                    'functions' => ['maintenance']],
                ['name' => 'Utilities', 'title_query' => 'utilities', 'functions' => ['maintenance']],
            ],
        ]);
        $this->offer->refresh();
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country;city\n"
            ."tunhede.example;Glasverk Tunhede A/S;glass;420;Denmark;Hobro\n"
            ."sverkhult.example;Papir Sverkhult;paper;60;Norway;Halden\n");
        $this->tunhede = Account::query()->where('domain', 'tunhede.example')->firstOrFail();
    }

    public function test_postings_become_openings_and_one_signal_for_each_role(): void
    {
        $this->world('postings', [
            $this->posting(1),
            $this->posting(2, ['title' => 'MAINTENANCE PLANNER (m/f/x)', 'at' => '2026-11-21T08:00:00Z']),
            $this->posting(3, ['title' => 'Planner, nights', 'text' => '<p>Much to do.</p>']),
            $this->posting(4, ['title' => 'Utilities engineer', 'text' => '<p>Steam and compressed air.</p>']),
            $this->posting(5, ['title' => 'Cook', 'text' => '<p>Soup.</p>']),
            $this->posting(6, ['title' => 'Planner', 'domain' => 'nobody.example', 'employer' => 'Nobody']),
        ]);
        $run = $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl?since='));
        self::assertSame([6, 6, 2, null], [$run->came, $run->created, $run->signals, $run->problem]);
        self::assertSame(
            [['Cook', 1], ['MAINTENANCE PLANNER (m/f/x)', 2], ['Planner, nights', 1], ['Utilities engineer', 1]],
            Opening::query()->orderBy('title')->get()->map(fn (Opening $one): array => [$one->title, $one->postings])
                ->all(),
        );
        $planner = Signal::query()->where('facts->role', 'Planner')->sole();
        // One whose text speaks of air too, and one that does not: 1 − ½^1.5.
        self::assertEqualsWithDelta(1 - .5 ** 1.5, $planner->strength, 1e-9);
        self::assertSame(
            ['MAINTENANCE PLANNER (m/f/x) sought, one of 2 openings', '2026-11-21', '2026-11-20', .9],
            [
                $planner->title, $planner->occurred_at->toDateString(), $planner->since?->toDateString(),
                $planner->confidence,
            ],
        );
        self::assertCount(3, $planner->items);
        self::assertStringContainsString('compressed air', (string) $planner->quote);
        // What a title gives to one role is not told of another, though the text would.
        $utilities = Signal::query()->where('facts->role', 'Utilities')->sole();
        self::assertEqualsWithDelta(.5, $utilities->strength, 1e-9);
        self::assertSame(
            'Nobody in the base has the domain nobody.example.',
            FeedItem::query()->where('state', ItemState::Dropped)->sole()->why,
        );
    }

    public function test_what_comes_twice_changes_nothing_and_what_is_gone_is_closed(): void
    {
        $this->world('postings', [$this->posting(1), $this->posting(2, ['title' => 'Utilities engineer'])]);
        $feed = $this->feed('posting-pages', 'jobs/sitemap.xml');
        self::assertSame([2, 2], [$this->ask($feed)->created, Signal::query()->count()]);
        $before = DB::table('signals')->get()->all();
        $this->itIs('2026-11-24T09:00:00Z');
        $again = $this->ask($feed);
        self::assertSame([0, 0, 0, null], [$again->created, $again->changed, $again->signals, $again->problem]);
        self::assertEquals($before, DB::table('signals')->get()->all());
        // One is taken down; another is put up.
        $this->world('postings', [
            $this->posting(1), $this->posting(3, ['title' => 'Planner, days', 'at' => '2026-11-25T08:00:00Z']),
        ]);
        $this->itIs('2026-11-25T09:00:00Z');
        $run = $this->ask($feed);
        self::assertSame([1, 1, 0], [$run->created, $run->gone, $run->signals]);
        self::assertSame(
            '2026-11-25',
            Opening::query()->where('title', 'Utilities engineer')->sole()->closed_at?->toDateString(),
        );
        $planner = Signal::query()->where('facts->role', 'Planner')->sole();
        self::assertEqualsWithDelta(1 - .5 ** 2, $planner->strength, 1e-9);
        self::assertSame('2026-11-25', $planner->occurred_at->toDateString());
        self::assertEqualsWithDelta(.5, Signal::query()->where('facts->role', 'Utilities')->sole()->strength, 1e-9);
    }

    public function test_a_changed_posting_says_what_changed(): void
    {
        $this->world('postings', [$this->posting(1)]);
        $feed = $this->feed('posting-lines', 'jobs/feed.jsonl');
        $this->ask($feed);
        $this->world('postings', [$this->posting(1, ['place' => 'Skive'])]);
        self::assertSame([0, 1], [($run = $this->ask($feed))->created, $run->changed]);
        $item = FeedItem::query()->sole();
        self::assertSame(['place' => 'Hobro'], $item->changes[0]['before'] ?? null);
        self::assertSame('Skive', Opening::query()->sole()->place);
        $this->actingAs($this->rep)->get("/items/{$item->id}")->assertOk()->assertSeeText('Before 2026-11-23')
            ->assertSeeText('Hobro')->assertSeeText('JobPosting');
    }

    public function test_an_agency_is_no_signal_and_its_client_a_hint_that_somebody_decides(): void
    {
        $this->world('postings', [
            $this->posting(1, [
                'employer' => 'Kvarnby Rekrytering', 'domain' => '',
                'text' => '<p>For our client Glasverk Tunhede in Hobro: compressed air.</p>',
            ]),
            $this->posting(2, ['text' => '<p>On behalf of our client we seek.</p>']),
        ]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        self::assertSame([0, 0], [Signal::query()->count(), Opening::query()->count()]);
        $mention = Mention::query()->sole();
        self::assertSame([$this->tunhede->id, .4, Aboutness::ToDecide], [
            $mention->account_id, $mention->confidence, $mention->verdict,
        ]);
        $this->actingAs($this->rep)->get('/intake')->assertSeeText('Is it about them?')
            ->assertSeeText('agency, by its name: “rekrytering”');
        $this->patch("/mentions/{$mention->id}", ['about' => 'yes'])
            ->assertSessionHas('said', 'It is about Glasverk Tunhede A/S, and counts for it.');
        self::assertSame(.4, Signal::query()->sole()->confidence);
        // It stays decided when the posting comes again in another form.
        DB::table('feed_items')->update(['content' => sha1('')]);
        $this->ask(Feed::query()->sole());
        self::assertSame(1, Signal::query()->count());
        $this->delete("/mentions/{$mention->id}");
        self::assertSame([0, 0], [Signal::query()->count(), Opening::query()->count()]);
    }

    public function test_reports_are_told_by_whom_they_name_and_what_they_tell(): void
    {
        $this->world('reports', [
            $this->report(1, 'Glasverk Tunhede builds a new hall'),
            $this->report(
                2, 'A new hall for Glasverk Tunhede', ['paper' => 'dispatch', 'at' => '2026-11-21T08:00:00Z'],
            ),
            $this->report(3, 'Papir Sverkhult: hiring stopped', ['text' => 'No more.']),
            $this->report(4, 'Weather', ['text' => 'Papir Sverkhult wrote a letter.']),
            $this->report(5, 'Storm over Halden', ['text' => 'Nobody was hurt.']),
        ]);
        $this->ask($this->feed('press', 'press/posten/rss.xml'));
        $this->ask($this->feed('press', 'press/dispatch/atom.xml'));
        $found = Signal::query()->with('items')->orderBy('id')->get()->map(fn (Signal $one): array => [
            $one->kind->value, $one->title, $one->strength, $one->confidence, $one->items->count(),
        ])->all();
        self::assertEqualsCanonicalizing([
            // Two papers, each .9 sure.
            ['expansion', 'Glasverk Tunhede builds a new hall', 1.0, .97, 2],
            ['hiring_freeze', 'Papir Sverkhult: hiring stopped', 1.0, .8, 1],
            ['news', 'Weather', .6, .6, 1],
        ], $found);
        self::assertSame(ItemState::Dropped, FeedItem::query()->where('title', 'Storm over Halden')->sole()->state);
    }

    public function test_what_a_file_brought_gets_a_source_and_no_double(): void
    {
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;round;amount;confidence\n"
            ."tunhede.example;funding;2026-11-18;Round B, €12M;B;12 Mio;1\n"
            ."tunhede.example;hiring;2026-11-10;Planner sought;;;.8\n"
            ."tunhede.example;expansion;2026-11-19;New hall announced;;;1\n");
        $this->world('postings', [$this->posting(1)]);
        $this->world('reports', [
            $this->report(1, 'Glasverk Tunhede A/S: new hall announced'),
            $this->report(2, 'Glasverk Tunhede raises capital'),
        ]);
        $this->world('rounds', [[
            'id' => 'r1', 'domain' => 'tunhede.example', 'at' => '2026-11-21T00:00:00Z', 'round' => 'B',
            'amount' => 12e6, 'currency' => 'EUR',
        ], [
            'id' => 'r2', 'domain' => 'tunhede.example', 'at' => '2026-11-22T00:00:00Z', 'round' => 'debt',
            'amount' => 42e6, 'currency' => 'EUR',
        ]]);
        $before = Signal::query()->pluck('confidence', 'title')->all();
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        $this->ask($this->feed('press', 'press/posten/atom.xml'));
        $this->ask($this->feed('funding-rounds', 'register/rounds.json'));
        $debt = Signal::query()->where('fed', true)->sole();
        // Debt .5, 42 million among 420: log10(100) / 2 = 1.
        self::assertSame(['Debt, 42 M EUR', .5, .9], [$debt->title, $debt->strength, $debt->confidence]);
        self::assertSame($before, Signal::query()->where('fed', false)->pluck('confidence', 'title')->all());
        self::assertSame(
            [1, 1, 2],
            Signal::query()->where('fed', false)->orderBy('kind')->get()->map(fn ($one) => $one->items()->count())
                ->sort()->values()->all(),
        );
    }

    public function test_what_people_did_with_posts_is_theirs_or_makes_candidates(): void
    {
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;profile\ntunhede.example;Ida;Lie;https://people.example/ida\n",
        );
        $deed = fn (int $id, string $deed, array $more = []): array => $more + [
            'id' => $id, 'topic' => 'leak-surveys', 'post' => 'https://posts.example/7', 'deed' => $deed,
            'at' => '2026-11-22T08:00:00Z', 'profile' => 'https://people.example/Ida', 'name' => 'Ida Lie',
            'company' => 'Glasverk Tunhede', 'title' => 'Planner', 'text' => 'Our air costs more than our light.',
        ];
        $olav = ['profile' => 'https://people.example/olav', 'name' => 'Olav Moe', 'at' => '2026-11-23T07:30:00Z'];
        $this->world('deeds', [$deed(1, 'reacted'), $deed(2, 'commented'), $deed(3, 'passed on', $olav)]);
        $feed = $this->feed('activities', 'topics/leak-surveys/outbox');
        self::assertSame([3, 1], [($run = $this->ask($feed))->came, $run->signals]);
        $signal = Signal::query()->with('contact')->sole();
        self::assertSame(
            ['Commented on “Leak surveys”', .9, 'Ida', 'Our air costs more than our light.', 'https://posts.example/7'],
            [$signal->title, $signal->strength, $signal->contact?->first_name, $signal->quote, $signal->link],
        );
        self::assertSame(
            ['2026-11-22 08:00:00'],
            DB::table('channels')->where('type', 'social')->pluck('active_at')->all(),
            'active lately',
        );
        $candidate = Candidate::query()->sole();
        self::assertSame(['Olav Moe', 'Glasverk Tunhede'], [$candidate->name, $candidate->company]);
        // What was less under the same post changes nothing, what was more does.
        $this->world('deeds', [
            $deed(1, 'reacted'), $deed(2, 'commented'), $deed(4, 'reacted', ['at' => '2026-11-23T08:00:00Z']),
            $deed(5, 'wrote', ['at' => '2026-11-23T08:30:00Z']),
        ]);
        self::assertSame(0, $this->ask($feed)->signals);
        self::assertSame('Wrote “Leak surveys”', Signal::query()->sole()->title);
    }

    public function test_what_runs_on_a_page_appears_and_disappears(): void
    {
        $site = fn (array $runs): bool|int => file_put_contents(self::$folder.'/sites.jsonl', json_encode([
            'domain' => 'tunhede.example', 'name' => 'Tunhede', 'text' => 'Glass.', 'runs' => $runs,
        ])."\n");
        $site([
            ['Tryklog', '2024-01-01T00:00:00Z', '2026-11-28T00:00:00Z'], ['Skiftara', '2026-11-28T00:00:00Z', null],
            ['Ordvika', '2024-01-01T00:00:00Z', null],
        ]);
        $feed = $this->feed('site-pages', 'sites/{domain}/');
        $run = $this->ask($feed);
        // One page, and one that is not there.
        self::assertSame([2, 0, null], [$run->came, $run->signals, $run->problem]);
        $names = fn (): array => $this->tunhede->technologies()->pluck('name')->sort()->values()->all();
        self::assertSame(['Ordvika', 'Tryklog'], $names());
        $this->itIs('2026-11-26T09:00:00Z');
        self::assertSame(0, $this->ask($feed)->came, 'once a week');
        $this->itIs('2026-11-30T10:00:00Z');
        self::assertSame([2, 1], [($run = $this->ask($feed))->came, $run->signals]);
        $adopted = Signal::query()->sole();
        self::assertSame(
            [Kind::TechAdopted, 'Skiftara appeared on their page', '2026-11-30', .9],
            [$adopted->kind, $adopted->title, $adopted->occurred_at->toDateString(), $adopted->confidence],
        );
        self::assertSame(['Ordvika', 'Skiftara', 'Tryklog'], $names(), 'overlooked once is not gone');
        // A page that is not there says nothing.
        $this->fault('sites', '500');
        $this->itIs('2026-12-07T10:00:00Z');
        self::assertNull($this->ask($feed)->problem);
        $this->fault('sites', null);
        self::assertSame(1, Signal::query()->count());
        $this->itIs('2026-12-14T10:00:00Z');
        $this->ask($feed);
        $dropped = Signal::query()->where('kind', Kind::TechDropped)->sole();
        self::assertSame(
            ['Tryklog is gone from their page', '2026-12-14', ['technology' => 'Tryklog']],
            [$dropped->title, $dropped->occurred_at->toDateString(), $dropped->facts],
        );
        self::assertSame(['Ordvika', 'Skiftara'], $names());
        $this->itIs('2026-12-22T10:00:00Z');
        $this->ask($feed);
        self::assertSame(2, Signal::query()->count());
    }

    public function test_a_few_pages_of_a_site_are_read_as_far_as_it_lets_us_and_searched_by(): void
    {
        $this->world('sites', [[
            'domain' => 'tunhede.example', 'name' => 'Tunhede', 'text' => 'Glass for bottles.',
            'about' => 'We watch our power by the hour.', 'runs' => [
                ['Vedliko Plan', '2024-01-01T00:00:00Z', null], ['Ordvika', '2024-01-01T00:00:00Z', null],
            ],
        ]]);
        (new Standings)->refresh();
        self::assertNull($this->ask($this->feed('site-pages', 'sites/{domain}/'))->problem);
        // What only the page shows that programs are asked not to look at is not known.
        self::assertSame(
            ['Ordvika', 'Vedliko Plan'],
            $this->tunhede->technologies()->pluck('name')->sort()->values()->all(),
        );
        $says = (string) DB::table('site_texts')->where('account_id', $this->tunhede->id)->value('text');
        self::assertStringContainsString('Glass for bottles.', $says);
        self::assertStringContainsString('We watch our power by the hour.', $says);
        self::assertStringNotContainsString('Shift plan', $says);
        (new Standings)->refresh();
        $found = fn (string $which): array => Search::from($this->offer, ['on' => 'accounts', 'c' => [
            ['f' => 'words', 'q' => '"power by the hour"', 'w' => $which],
        ]])->ids();
        self::assertSame([[$this->tunhede->id], [$this->tunhede->id], []], [
            $found(''), $found('site'), $found('description,keywords'),
        ]);
        $this->actingAs($this->rep)->get('/finder?on=accounts&c[0][f]=words&c[0][q]="power by the hour"')
            ->assertSee('We watch our power by the hour.');
    }

    public function test_an_offer_says_which_technologies_say_something_and_signals_follow(): void
    {
        $site = fn (array $runs): mixed => $this->world('sites', [
            ['domain' => 'tunhede.example', 'name' => 'Tunhede', 'text' => 'Glass.', 'runs' => $runs],
        ]);
        $feed = $this->feed('site-pages', 'sites/{domain}/');
        $site([['Tryklog', '2024-01-01T00:00:00Z', null]]);
        $this->ask($feed);
        $site([
            ['Tryklog', '2024-01-01T00:00:00Z', '2026-11-28T00:00:00Z'], ['Skiftara', '2026-11-28T00:00:00Z', null],
            ['Ordvika', '2026-11-28T00:00:00Z', null],
        ]);
        foreach (['2026-11-30T10:00:00Z', '2026-12-07T11:00:00Z'] as $week) {
            $this->itIs($week);
            $this->ask($feed);
        }
        $told = fn (): array => Signal::query()->orderBy('title')->get()
            ->map(fn (Signal $one): array => [$one->title, $one->offer_id])->all();
        // Nobody has said what says something: each is told, to all offers alike.
        self::assertSame([
            ['Ordvika appeared on their page', null], ['Skiftara appeared on their page', null],
            ['Tryklog is gone from their page', null],
        ], $told());
        $other = Offer::factory()->create(['name' => 'Purity']);
        $other->ruleSets()->create(['version' => 1, 'criteria' => [], 'kinds' => [],
            'technologies' => ['completes' => ['ordvika 3']]]);
        NewRules::change($this->offer, ['technologies' => [
            'completes' => ['Skiftara', 'Ordvika'], 'replaces' => ['Tryklog'],
        ]], $this->lead, 'what completes us');
        self::assertSame([
            ['Ordvika appeared on their page', null], ['Skiftara appeared on their page', $this->offer->id],
            ['Tryklog is gone from their page', $this->offer->id],
        ], $told());
        $this->offer->refresh();
        NewRules::change($this->offer, ['technologies' => ['replaces' => ['Tryklog']]], $this->lead, 'only what goes');
        self::assertSame([
            ['Ordvika appeared on their page', $other->id], ['Tryklog is gone from their page', $this->offer->id],
        ], $told());
        $names = $this->tunhede->technologies()->pluck('name')->sort()->values()->all();
        self::assertSame(['Ordvika', 'Skiftara'], $names, 'what runs is a fact, whatever it says');
        $this->actingAs($this->rep)->get("/accounts/{$this->tunhede->id}")->assertSee('since 30 November 2026');
    }

    public function test_postings_name_what_runs(): void
    {
        $this->world('postings', [
            $this->posting(1, [
                'text' => 'You plan in Vedliko Plan, and read TRYKLOG.', 'at' => '2026-11-02T08:00:00Z',
            ]),
            $this->posting(2, ['text' => 'You know Tryklogs.', 'title' => 'Cook', 'at' => '2026-11-12T08:00:00Z']),
            $this->posting(3, ['domain' => 'sverkhult.example', 'employer' => 'Papir Sverkhult',
                'text' => 'On behalf of our client: Skiftara is known to you.']),
        ]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        self::assertSame(['Tryklog', 'Vedliko Plan'], $this->tunhede->technologies()->pluck('name')->sort()->values()
            ->all());
        self::assertSame(2, DB::table('account_technology')->count(), 'what an agency names is not its client’s');
        self::assertSame(0, Signal::query()->whereIn('kind', ['tech_adopted', 'tech_dropped'])->count());
        $this->actingAs($this->rep)->get("/accounts/{$this->tunhede->id}")
            ->assertSee('since 2 November 2026 · 60 % sure');
    }

    public function test_posts_count_for_the_offers_whose_topics_they_are_on(): void
    {
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;profile\ntunhede.example;Ida;Lie;https://people.example/ida\n",
        );
        $deed = fn (int $id, string $topic, string $text, string $deed = 'commented'): array => [
            'id' => $id, 'topic' => $topic, 'post' => "https://posts.example/$id", 'deed' => $deed,
            'at' => '2026-11-22T08:00:00Z', 'profile' => 'https://people.example/ida', 'name' => 'Ida Lie',
            'company' => 'Glasverk Tunhede', 'title' => 'Planner', 'text' => $text,
        ];
        $this->world('deeds', [
            $deed(1, 'leak-surveys', 'Well said.'), $deed(2, 'leak-surveys', 'Nitrogen is dear.'),
            $deed(3, 'leak-surveys', 'x', 'reacted'),
        ]);
        $feed = $this->feed('activities', 'topics/leak-surveys/outbox');
        $this->ask($feed);
        $told = fn (): array => Signal::query()->where('kind', 'post_engagement')->orderBy('link')->orderBy('offer_id')
            ->get()->map(fn (Signal $one): array => [basename((string) $one->link), $one->offer_id])->all();
        self::assertSame([['1', null], ['2', null], ['3', null]], $told(), 'no topic said: each post counts');
        $other = Offer::factory()->create(['name' => 'Purity']);
        $other->ruleSets()->create(['version' => 1, 'criteria' => [], 'kinds' => [],
            'topics' => [['name' => 'Purity', 'query' => 'nitrogen']]]);
        NewRules::change($this->offer, ['topics' => [['name' => 'Leaks', 'query' => 'leak*']]], $this->lead, 'topics');
        self::assertSame([['1', $this->offer->id], ['2', null], ['3', $this->offer->id]], $told());
        $this->offer->refresh();
        NewRules::change($this->offer, ['topics' => [['name' => 'Air', 'query' => 'air']]], $this->lead, 'topics');
        self::assertSame([['2', $other->id]], $told());
        self::assertSame(
            'The post is on none of our topics.',
            FeedItem::query()->where('link', 'https://posts.example/1')->sole()->why,
        );
        $this->ask($feed);
        self::assertSame([['2', $other->id]], $told());
    }

    public function test_heads_by_month_tell_of_growth_while_it_lasts(): void
    {
        $heads = fn (array $all, array $maintenance): array => array_map(
            fn (int $whole, int $part): array => ['' => $whole, 'maintenance' => $part],
            array_combine($keys = array_map(fn (int $i): string => sprintf('2026-%02d', 12 - count($all) + $i), range(
                0, count($all) - 1,
            )), $all),
            $maintenance,
        );
        $write = fn (array $all, array $part): bool|int => file_put_contents(
            self::$folder.'/headcounts.jsonl',
            json_encode(['domain' => 'tunhede.example', 'months' => array_combine(
                array_map(fn (int $i): string => sprintf('2026-%02d', $i + 12 - count($all)), array_keys($all)),
                $heads($all, $part),
            )])."\n",
        );
        // July to November: up 10 % in three months, and maintenance faster.
        $write([400, 400, 410, 430, 440], [20, 20, 21, 24, 26]);
        $feed = $this->feed('headcounts', 'register/headcounts.csv');
        self::assertSame(2, $this->ask($feed)->signals);
        $growth = Signal::query()->where('title', 'Headcount up 10 % in 90 days')->sole();
        // 10 of 25 %, and more than ten heads.
        self::assertEqualsWithDelta(.4, $growth->strength, 1e-9);
        self::assertSame(
            ['2026-11-23', '2026-10-31', 400, 440],
            [
                $growth->occurred_at->toDateString(), $growth->since?->toDateString(), $growth->facts['before'] ?? 0,
                $growth->facts['after'] ?? 0,
            ],
        );
        // 6 of 20 are 30 %, but only six heads.
        self::assertEqualsWithDelta(
            .6, Signal::query()->where('title', 'like', 'Heads in maintenance up 30 %%')->sole()->strength, 1e-9,
        );
        self::assertSame(0, $this->ask($feed)->signals);
        $page = $this->actingAs($this->rep)->get("/accounts/{$this->tunhede->id}")->assertOk();
        $page->assertSeeText('How it grows')->assertSeeText('3 months: +10 % · 6 months: not known');
        // A small firm, and one that stands still, tell nothing.
        $write([9, 9, 9, 9, 14], [1, 1, 1, 1, 1]);
        DB::table('signals')->delete();
        self::assertSame(0, $this->ask($feed)->signals);
    }

    public function test_what_the_months_say_is_searched_by_and_fills_what_nobody_said(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name;industry\nny.example;Ny Glas;glass\n");
        (new Standings)->refresh();
        $months = fn (int ...$heads): array => array_combine(
            array_map(fn (int $i): string => sprintf('2026-%02d', $i + 12 - count($heads)), array_keys($heads)),
            array_map(fn (int $one): array => ['' => $one, 'maintenance' => intdiv($one, 10)], $heads),
        );
        $feed = $this->feed('headcounts', 'register/headcounts.csv');
        $tell = function (array $tunhede, array $ny) use ($feed): void {
            $this->world('headcounts', [
                ['domain' => 'tunhede.example', 'months' => $tunhede], ['domain' => 'ny.example', 'months' => $ny],
            ]);
            $this->ask($feed);
        };
        $of = fn (string $domain): array => array_values((array) DB::table('accounts')->where('domain', $domain)
            ->first(['headcount', 'growth']));
        $found = function (string $step): array {
            (new Standings)->refresh();
            parse_str($step, $row);
            $search = Search::from($this->offer, ['on' => 'accounts', 'c' => [$row]]);

            return Account::query()->whereKey($search->ids())->orderBy('name')->pluck('name')->all();
        };
        $tell($months(400, 400, 400, 440), $months(100, 100, 100, 100, 100, 100, 120));
        self::assertSame([420, null], $of('tunhede.example'), 'what a file said stays');
        self::assertSame([120, null], $of('ny.example'));
        self::assertSame(['Glasverk Tunhede A/S'], $found('f=growth&w=3&lo=10 %&hi=10 %'));
        self::assertSame(['Ny Glas'], $found('f=growth&w=6&lo=20 %'));
        self::assertSame([], $found('f=growth&w=12&lo=-90 %'), 'too little is known, and nothing is guessed');
        self::assertSame(['Glasverk Tunhede A/S'], $found('f=headcount&w=maintenance&lo=44'));
        self::assertSame(['Ny Glas'], $found('f=growth&w=6 maintenance&lo=20 %&hi=20 %'));
        // What the months said is followed by the months; what a person says in between stays.
        $tell($months(400, 400, 400, 440), $months(100, 100, 100, 100, 100, 100, 130));
        self::assertSame([130, null], $of('ny.example'));
        Account::query()->where('domain', 'ny.example')->update(['headcount' => 90]);
        $tell($months(400, 400, 400, 440), $months(100, 100, 100, 100, 100, 100, 140));
        self::assertSame([90, null], $of('ny.example'));
        $page = $this->actingAs($this->rep)
            ->get('/finder?on=accounts&c[0][f]=growth&c[0][w]=3&c[0][lo]=10 %25')->assertOk();
        $page->assertSee('over 3 months')->assertSee('from 10 %');
    }

    public function test_a_round_that_does_not_hold_to_the_schema_is_refused_with_its_reason(): void
    {
        $this->world('rounds', [
            ['id' => 'r1', 'domain' => 'x', 'at' => '2026-11-22', 'round' => 'B', 'amount' => 12e6,
                'currency' => 'EUR'],
            ['id' => 'r2', 'domain' => 'tunhede.example', 'at' => '2026-11-22', 'round' => 'A', 'amount' => -5,
                'currency' => 'EUR'],
        ]);
        $run = $this->ask($this->feed('funding-rounds', 'register/rounds.json'));
        self::assertSame([2, 2, 0], [$run->came, $run->refused, Signal::query()->count()]);
        self::assertStringStartsWith('It does not hold to the schema:', (string) FeedItem::query()->firstOrFail()->why);
    }

    public function test_a_run_that_ends_in_the_middle_is_gone_on_with(): void
    {
        $this->world('postings', array_map(
            fn (int $i): array => $this->posting($i, ['place' => "Place $i"]),
            range(1, 4),
        ));
        $feed = $this->feed('posting-pages', 'jobs/sitemap.xml');
        $this->ask($feed);
        DB::table('feed_items')->delete();
        // Two pages were read, and the third did not answer.
        $page = fn (int $i): string => 'http://127.0.0.1:'.self::$port."/jobs/$i";
        $feed->update(['cursor' => ['queue' => [$page(9), $page(3), $page(4)], 'began' => self::NOW]]);
        self::assertSame(
            [0, 'There is nothing at this address (answer 404).'],
            [($run = $this->ask($feed))->came, $run->problem],
        );
        self::assertSame([$page(9), $page(3), $page(4)], $feed->refresh()->cursor['queue']);
        $feed->update(['cursor' => ['queue' => [$page(3), $page(4)], 'began' => self::NOW]]);
        self::assertSame(2, $this->ask($feed)->came);
        self::assertSame(['Place 3', 'Place 4'], Opening::query()->orderBy('place')->pluck('place')->all());
        self::assertArrayNotHasKey('queue', $feed->refresh()->cursor ?? []);
    }

    public function test_what_was_struck_out_stays_out_until_it_is_taken_back(): void
    {
        $this->world('reports', [$this->report(1, 'Glasverk Tunhede builds a new hall')]);
        $feed = $this->feed('press', 'press/posten/atom.xml');
        $this->ask($feed);
        (new Standings)->refresh();
        $signal = Signal::query()->sole();
        $had = $this->standing($this->tunhede)->push;
        self::assertGreaterThan(0, $had);
        $this->actingAs($this->rep)->get("/signals/{$signal->id}")->assertOk()
            ->assertSeeText('“expansion” of the press')->assertSeeText('Its name stands in the headline');
        $this->delete("/signals/{$signal->id}", ['reason' => ''])
            ->assertSessionHasErrors(['reason' => 'Say what is wrong with it, so that others understand it.']);
        $this->delete("/signals/{$signal->id}", ['reason' => 'another firm'])->assertSessionHas('undo');
        (new Standings)->refresh();
        self::assertSame(0.0, (float) $this->standing($this->tunhede)->push);
        DB::table('feed_items')->update(['content' => sha1('')]);
        $this->ask($feed);
        self::assertSame(0, Signal::query()->count());
        $this->post("/signals/struck/{$signal->id}")->assertRedirect("/signals/{$signal->id}");
        (new Standings)->refresh();
        self::assertSame($had, $this->standing($this->tunhede)->push);
        self::assertSame([0, 1], [StruckSignal::query()->count(), Signal::query()->sole()->items->count()]);
    }

    public function test_a_file_does_not_bring_back_what_was_struck_out(): void
    {
        $file = "domain;kind;date;title\ntunhede.example;news;2026-11-18;In the press\n";
        $this->bring(IntakeKind::Signals, $file);
        $this->actingAs($this->rep)->delete('/signals/'.Signal::query()->sole()->id, ['reason' => 'wrong']);
        self::assertSame([0, 1], [
            ($intake = $this->bring(IntakeKind::Signals, $file))->created, $intake->unchanged,
        ]);
        self::assertSame(0, Signal::query()->count());
    }

    public function test_a_trial_shows_what_would_become_and_keeps_nothing(): void
    {
        $this->world('reports', [$this->report(1, 'Glasverk Tunhede builds a new hall'), $this->report(2, 'Storm')]);
        $form = ['format' => 'press', 'address' => 'http://127.0.0.1:'.self::$port.'/press/posten/atom.xml'];
        $this->actingAs($this->lead)->post('/feeds/trial', $form)->assertOk()
            ->assertSeeText('expansion: Glasverk Tunhede builds a new hall')
            ->assertSeeText('It names nobody in the base.');
        self::assertSame([0, 0, 0], [Feed::query()->count(), FeedItem::query()->count(), Signal::query()->count()]);
        $this->post('/feeds/trial', ['format' => 'posting-lines'] + $form)->assertOk()
            ->assertSeeText('These are no JSON Lines');
        $this->actingAs($this->rep)->post('/feeds/trial', $form)->assertForbidden();
    }

    public function test_a_role_asks_for_employment_types_of_its_own(): void
    {
        $this->world('postings', [$this->posting(1, ['type' => 'PART_TIME'])]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        self::assertSame(0, Signal::query()->count(), 'full-time is asked for at first');
        $rules = [
            'version' => 2, 'criteria' => [], 'note' => '', 'kinds' => array_map(fn ($rule): array => [
                'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold,
                'half_life' => $rule->halfLife, 'counts' => $rule->counts->value,
            ], Catalogue::standard()->rules), 'roles_of_interest' => [[
                'name' => 'Planner', 'title_query' => 'planner', 'functions' => ['maintenance'],
                'employment_types' => 'full-time; Part time',
            ]],
        ];
        $this->actingAs($this->lead)->post("/rules/{$this->offer->id}", $rules)->assertSessionHasNoErrors();
        self::assertSame('Maintenance planner sought', Signal::query()->sole()->title);
        $this->get("/rules/{$this->offer->id}")->assertOk()->assertSee('full-time, Part time');
    }

    public function test_rules_of_interest_change_and_the_signals_follow(): void
    {
        $this->world('postings', [$this->posting(1)]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        self::assertSame('Planner', Signal::query()->sole()->facts['role'] ?? null);
        $this->offer->ruleSets()->create(['version' => 3, 'kinds' => [], 'criteria' => [], 'roles_of_interest' => [
            ['name' => 'Upkeep', 'title_query' => 'maintenance', 'functions' => ['maintenance']],
        ]]);
        HiringSignals::renewAll();
        self::assertSame(['Upkeep', Kind::Hiring], [
            Signal::query()->sole()->facts['role'] ?? null, Signal::query()->sole()->kind,
        ]);
    }

    public function test_a_decision_on_a_report_is_made_once_and_can_be_undone(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\nother.example;Glasverk Tunhede\n");
        $this->world('reports', [$this->report(1, 'Glasverk Tunhede builds a new hall', ['text' => ''])]);
        $this->ask($this->feed('press', 'press/posten/atom.xml'));
        self::assertSame([0, 2], [Signal::query()->count(), Mention::query()->count()]);
        $mention = Mention::query()->where('account_id', $this->tunhede->id)->sole();
        self::assertSame(.4, $mention->confidence, '.8, and half of it for the namesake');
        DecideMention::as($mention, Aboutness::Taken, $this->rep);
        self::assertSame([$this->tunhede->id, .9], [
            Signal::query()->sole()->account_id, Signal::query()->sole()->confidence,
        ]);
        DecideMention::as($mention, Aboutness::Dropped, $this->rep);
        self::assertSame(0, Signal::query()->count());
    }
}
