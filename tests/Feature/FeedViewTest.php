<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\Doubles;
use App\Jobs\AskFeed;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Double;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\FeedRun;
use App\Models\IntakeKind;
use App\Models\ItemState;
use App\Models\Signal;
use App\View\Account\Growth;
use App\View\Account\SoughtRoles;
use App\View\Feeds\FeedLine;
use App\View\Feeds\FeedPage;
use App\View\Feeds\ItemLine;
use App\View\Feeds\ItemPage;
use App\View\Feeds\SignalPage;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** What the screens of feeds say, and who may do what there. */
final class FeedViewTest extends TestCase
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
                ['name' => 'Planner', 'title_query' => 'planner', 'functions' => ['maintenance']],
            ],
        ]);
        $this->offer->refresh();
        $this->bring(IntakeKind::Accounts, "domain;name;headcount;city;country\n"
            ."tunhede.example;Glasverk Tunhede;420;Hobro;Denmark\nhvid.example;Hvidkrus;90;Skive;Denmark\n");
        $this->tunhede = Account::query()->where('domain', 'tunhede.example')->firstOrFail();
    }

    public function test_a_feed_says_how_it_is_doing(): void
    {
        $feed = Feed::factory()->create(['name' => 'Board', 'rhythm' => 30]);
        $says = fn (): array => [FeedLine::of($feed)->state(), FeedLine::of($feed)->isMoving()];
        self::assertSame(['not asked yet', true], $says());
        $run = FeedRun::query()->create(['feed_id' => $feed->id, 'started_at' => now()]);
        self::assertSame(['being asked', true], $says());
        $run->update(['finished_at' => now(), 'created' => 1200, 'changed' => 3]);
        $feed->update(['next_at' => now()->addMinutes(30)]);
        self::assertSame(['every half hour', false], $says());
        self::assertSame('1,200 new · 3 changed', FeedLine::of($feed)->brought());
        $run->update(['created' => 0, 'changed' => 0]);
        self::assertSame('nothing new', FeedLine::of($feed)->brought());
        $feed->update(['problem' => 'It is too slow.']);
        self::assertSame(['failed: it is too slow.', false], $says());
        $feed->update(['paused' => true, 'next_at' => null]);
        self::assertSame(['paused', false], $says());
        $posted = Feed::factory()->create(['format' => Feed::WEBHOOK, 'address' => '']);
        self::assertSame(
            ['nothing posted yet', false, 'Webhook: CloudEvents posted to us'],
            [FeedLine::of($posted)->state(), FeedLine::of($posted)->isMoving(), FeedLine::of($posted)->format()],
        );
        // One whose worker died an hour ago is not being asked.
        $feed->update(['paused' => false, 'problem' => null, 'next_at' => now()->addMinutes(5)]);
        FeedRun::query()->create(['feed_id' => $feed->id, 'started_at' => now()->subHours(2)]);
        self::assertFalse(FeedLine::of($feed)->isMoving());
    }

    public function test_its_page_shows_runs_and_what_became_of_what_it_brought(): void
    {
        $this->world('postings', [
            $this->posting(1), $this->posting(2, ['title' => 'Cook']),
            $this->posting(3, ['title' => 'Planner', 'domain' => 'nobody.example']),
            $this->posting(4, ['title' => '']),
        ]);
        $feed = $this->feed('posting-lines', 'jobs/feed.jsonl');
        $this->ask($feed);
        $page = FeedPage::of($feed->refresh(), null);
        self::assertSame(
            [['All', '4'], ['Taken', '2'], ['About nobody in the base', '1'], ['Refused', '1']],
            array_map(fn ($tab): array => [$tab->label, $tab->count], $page->tabs()),
        );
        self::assertSame([['4', '4', '0', '0', '0', '0', '1', '1'], 'done'], [
            $page->runs()[0]['counts'], $page->runs()[0]['says'],
        ]);
        $outcomes = [];
        foreach ($page->items() as $one) {
            $outcomes[$one->item->title] = $one->outcome();
        }
        ksort($outcomes);
        self::assertSame([
            '' => 'It has no title.', 'Cook' => 'It makes no signal: nothing that is looked for.',
            'Maintenance planner' => 'hiring: Maintenance planner sought',
            'Planner' => 'Nobody in the base has the domain nobody.example.',
        ], $outcomes);
        self::assertCount(1, FeedPage::of($feed, ItemState::Dropped)->items());
        self::assertStringContainsString('openings, and a hiring signal', $page->becomes());
        $this->actingAs($this->rep)->get("/feeds/{$feed->id}?state=refused")->assertOk()
            ->assertSeeText('It has no title.')->assertDontSeeText('Ask it now');
        $this->actingAs($this->lead)->get("/feeds/{$feed->id}?state=nonsense")->assertOk()->assertSeeText('Ask it now');
    }

    public function test_an_item_stands_as_it_came_as_it_was_read_and_harmless(): void
    {
        $this->world('reports', [$this->report(1, 'Glasverk Tunhede <script>alert(1)</script>: a new hall', [
            'text' => '<p onclick="x()">In <b>Hobro</b></p><script>steal()</script>',
        ])]);
        $this->ask($this->feed('press', 'press/posten/atom.xml'));
        $item = FeedItem::query()->sole();
        $page = ItemPage::of($item);
        self::assertSame(['Text' => 'In Hobro', 'Paper' => 'posten'], $page->facts());
        self::assertSame('Glasverk Tunhede : a new hall', $item->title);
        self::assertStringContainsString('steal()', $page->raw(), 'as it came');
        self::assertStringStartsWith('Report · of 20 November 2026', $page->about());
        $html = (string) $this->actingAs($this->rep)->get("/items/{$item->id}")->assertOk()->getContent();
        self::assertStringNotContainsString('<script>steal', $html);
        self::assertStringNotContainsString('onclick', explode('<pre', $html)[0]);
        self::assertSame('expansion: Glasverk Tunhede : a new hall', ItemLine::of($item->load('signals'))->outcome());
    }

    public function test_a_signal_says_how_it_came_about(): void
    {
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;strength;source\n"
            ."tunhede.example;news;2026-11-10;In the press;.4;paper\nhvid.example;funding;2026-11-10;Round B;;\n");
        $this->world('postings', [$this->posting(1)]);
        $this->world('reports', [
            $this->report(1, 'Glasverk Tunhede and Hvidkrus build a new hall', ['text' => 'In Skive and Hobro.']),
            $this->report(2, 'Hvidkrus in Skive', ['text' => '']),
        ]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        $this->ask($this->feed('press', 'press/posten/atom.xml'));
        $page = fn (string $kind, Account $account): SignalPage => SignalPage::of(
            Signal::query()->where('kind', $kind)->where('account_id', $account->id)->firstOrFail(), $this->offer,
        );
        $hvid = Account::query()->where('domain', 'hvid.example')->firstOrFail();
        self::assertSame('By the role of interest “Planner”.', $page('hiring', $this->tunhede)->rule());
        self::assertSame(
            [
                'Strength' => '.50, by the number of distinct openings that its role of interest asks for',
                'Sure' => '90 %, as its surest posting is', 'Since' => '20 November 2026',
            ],
            $page('hiring', $this->tunhede)->figures(),
        );
        self::assertSame('By the class “expansion” of the press.', $page('expansion', $this->tunhede)->rule());
        self::assertSame(['Hvidkrus'], $page('expansion', $this->tunhede)->others()->pluck('account.name')->all());
        self::assertSame('By no class of the press: it is named, no more.', $page('news', $hvid)->rule());
        self::assertSame(
            ['It was brought as it stands, by a file or by hand; its source: paper.', '.40, by whoever brought it'],
            [$page('news', $this->tunhede)->rule(), $page('news', $this->tunhede)->figures()['Strength']],
        );
        self::assertStringContainsString('its round and its amount', $page('funding', $hvid)->figures()['Strength']);
        $signal = Signal::query()->where('kind', 'hiring')->sole();
        $this->actingAs($this->rep)->get("/signals/{$signal->id}")->assertOk()
            ->assertSeeText('By the domain tunhede.example.')->assertSeeText('source');
        $this->get('/signals/999999')->assertNotFound();
    }

    public function test_what_is_sought_is_told_open_before_closed(): void
    {
        $this->world('postings', [
            $this->posting(1, ['author' => ['name' => 'Ida Lie']]),
            $this->posting(2, ['at' => '2026-11-21T08:00:00Z']),
            $this->posting(3, ['title' => 'Cook', 'until' => '2026-11-24T00:00:00Z', 'at' => '2026-10-01T08:00:00Z']),
        ]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        $sought = SoughtRoles::of($this->tunhede);
        self::assertSame('2 openings · since 1 October 2026', $sought->about());
        self::assertSame(
            'Hobro · since 20 November 2026 · 2 postings · maintenance · put up by Ida Lie',
            $sought->open()[0]['about'],
        );
        self::assertSame([], $sought->closed());
        $this->at('2026-11-25T09:00:00Z');
        $later = SoughtRoles::of($this->tunhede);
        self::assertSame(['1 opening closed', 'Cook'], [$later->saysClosed(), $later->closed()[0]['title']]);
        self::assertStringEndsWith('closed 24 November 2026', $later->closed()[0]['about']);
        self::assertTrue(SoughtRoles::of(Account::factory()->create())->isEmpty());
    }

    public function test_growth_is_drawn_and_what_is_not_known_is_said(): void
    {
        foreach (['2026-08' => 100, '2026-11' => 112] as $month => $heads) {
            DB::table('headcounts')->insert([
                ['account_id' => $this->tunhede->id, 'function' => '', 'month' => $month, 'heads' => $heads],
                ['account_id' => $this->tunhede->id, 'function' => 'sales', 'month' => $month, 'heads' => 5],
            ]);
        }
        $lines = Growth::of($this->tunhede)->lines();
        self::assertSame(
            [['all', '112', '3 months: +12 % · 6 months: not known · 12 months: not known', '0.0,38.0 220.0,2.0'],
                ['sales', '5', '3 months: +0 % · 6 months: not known · 12 months: not known', '0.0,20.0 220.0,20.0']],
            array_map(fn (array $one): array => [$one['name'], $one['heads'], $one['says'], $one['points']], $lines),
        );
        self::assertTrue(Growth::of(Account::factory()->create())->isEmpty());
    }

    public function test_an_erased_person_is_in_nothing_that_feeds_brought(): void
    {
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;email;profile\n"
                ."tunhede.example;Ida;Lie;ida@tunhede.example;https://people.example/ida\n",
        );
        $this->world('postings', [$this->posting(1, ['author' => ['name' => 'Ida Lie']])]);
        $this->world('reports', [$this->report(1, 'Ida Lie of Glasverk Tunhede builds a new hall', [
            'text' => 'Says Ida Lie (ida@tunhede.example).',
        ])]);
        $this->world('deeds', [[
            'id' => 1, 'topic' => 'leaks', 'post' => 'https://p.example/1', 'deed' => 'commented', 'name' => 'Ida Lie',
            'profile' => 'https://people.example/ida', 'company' => 'T', 'title' => 'P', 'text' => 'So say I, Ida Lie.',
            'at' => '2026-11-20T08:00:00Z',
        ]]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        $this->ask($this->feed('press', 'press/posten/atom.xml'));
        $this->ask($this->feed('activities', 'topics/leaks/outbox'));
        $struck = Signal::query()->where('kind', 'expansion')->sole();
        $this->actingAs($this->rep)->delete("/signals/{$struck->id}", ['reason' => 'Ida Lie says so']);
        $ida = Contact::query()->where('last_name', 'Lie')->sole();
        $this->actingAs($this->lead)->delete("/contacts/{$ida->id}", ['sure' => 'Ida Lie'])
            ->assertSessionHasNoErrors();
        foreach (['feed_items', 'mentions', 'signal_sources', 'signals', 'struck_signals', 'openings'] as $table) {
            foreach (DB::table($table)->get() as $row) {
                $row = (array) $row;
                $row['raw'] = isset($row['raw']) ? (string) gzuncompress((string) $row['raw']) : '';
                $text = stripslashes(implode(' ', array_map(strval(...), $row)));
                self::assertDoesNotMatchRegularExpression('~Ida Lie|people\.example/ida|ida@tunhede~i', $text, $table);
            }
        }
        self::assertGreaterThan(2, FeedItem::query()->count());
    }

    public function test_two_accounts_that_are_one_keep_what_feeds_brought(): void
    {
        $this->world('postings', [$this->posting(1), $this->posting(2, ['domain' => 'hvid.example'])]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        $hvid = Account::query()->where('domain', 'hvid.example')->firstOrFail();
        Doubles::doubt('account', $this->tunhede->id, $hvid->id, 1.0, ['They are one.']);
        $double = Double::query()->sole();
        self::assertTrue(Doubles::merge($double, $this->lead));
        self::assertSame([2, 2], [
            FeedItem::query()->where('account_id', $this->tunhede->id)->count(),
            Signal::query()->where('account_id', $this->tunhede->id)->count(),
        ]);
        Doubles::undo($double->refresh());
        self::assertSame(1, FeedItem::query()->where('account_id', $hvid->id)->count());
        self::assertSame('Maintenance planner', SoughtRoles::of($hvid)->open()[0]['title']);
    }

    public function test_those_whose_time_has_come_are_asked_and_no_others(): void
    {
        Queue::fake();
        $at = fn (?CarbonImmutable $next, array $more = []): Feed => Feed::factory()
            ->create(['next_at' => $next] + $more);
        $due = [$at(null), $at(CarbonImmutable::now()->subMinute()), $at(CarbonImmutable::now())];
        $at(CarbonImmutable::now()->addMinute());
        $at(null, ['paused' => true]);
        $at(null, ['format' => Feed::WEBHOOK, 'address' => '']);
        $at(null)->delete();
        AskFeed::due();
        Queue::assertPushed(AskFeed::class, count($due));
        // Two at once are one.
        AskFeed::due();
        Queue::assertPushed(AskFeed::class, count($due));
    }

    public function test_a_page_of_many_is_gone_on_with_and_a_circle_is_left(): void
    {
        $this->world('rounds', array_map(fn (int $i): array => [
            'id' => "r$i", 'domain' => 'tunhede.example', 'at' => sprintf('2026-%02d-01T00:00:00Z', 1 + $i % 11),
            'round' => ['A', 'B', 'C', 'grant'][$i % 4], 'amount' => 1e6, 'currency' => 'EUR',
        ], range(1, 120)));
        $feed = $this->feed('funding-rounds', 'register/rounds.json');
        self::assertSame([120, 120, null], [($run = $this->ask($feed))->came, $run->created, $run->problem]);
        $this->fault('register', 'endless');
        $again = $this->ask($feed);
        self::assertSame([0, null], [$again->created, $again->problem]);
        self::assertLessThan(200, $again->came, 'it does not go on for ever');
    }

    public function test_a_lead_adds_changes_and_removes_feeds_and_a_rep_does_not(): void
    {
        $form = [
            'name' => 'Board', 'format' => 'posting-lines',
            'address' => 'http://127.0.0.1:'.self::$port.'/jobs/feed.jsonl', 'rhythm' => '30', 'confidence' => '80',
        ];
        $this->actingAs($this->rep)->post('/feeds', $form)->assertForbidden();
        Queue::fake();
        $this->actingAs($this->lead);
        foreach ([
            ['name' => ''], ['format' => 'telepathy'], ['address' => 'http://10.0.0.1/'], ['address' => ''],
            ['rhythm' => '7'], ['confidence' => '0'], ['confidence' => '120 %'], ['confidence' => 'very'],
        ] as $wrong) {
            $this->post('/feeds', $wrong + $form)->assertSessionHasErrors(array_keys($wrong));
        }
        self::assertSame(0, Feed::query()->count());
        $this->post('/feeds', $form)->assertSessionHasNoErrors();
        $feed = Feed::query()->sole();
        self::assertSame([.8, 30], [$feed->confidence, $feed->rhythm]);
        Queue::assertPushed(AskFeed::class, 1);
        $feed->update(['cursor' => ['since' => 'x'], 'problem' => 'It was.', 'failures' => 3]);
        $this->put("/feeds/{$feed->id}", ['name' => 'Board of the north'] + $form)->assertSessionHasNoErrors();
        self::assertSame(['since' => 'x'], $feed->refresh()->cursor, 'another name is the same source');
        $this->put("/feeds/{$feed->id}", ['address' => $form['address'].'?x='] + $form);
        self::assertSame([null, null, 0], [$feed->refresh()->cursor, $feed->problem, $feed->failures]);
        foreach ([
            ['post', "/feeds/{$feed->id}/run"], ['patch', "/feeds/{$feed->id}/pause"], ['delete', "/feeds/{$feed->id}"],
            ['put', "/feeds/{$feed->id}"], ['get', "/feeds/{$feed->id}/edit"], ['post', "/feeds/{$feed->id}/restore"],
        ] as [$method, $path]) {
            $this->actingAs($this->rep)->$method($path)->assertForbidden();
        }
        $this->actingAs($this->lead)->patch("/feeds/{$feed->id}/pause");
        self::assertTrue($feed->refresh()->paused);
        $this->post("/feeds/{$feed->id}/run");
        self::assertFalse($feed->refresh()->paused, 'whoever asks it wants it');
        $this->delete("/feeds/{$feed->id}")->assertSessionHas('undo');
        $this->get("/feeds/{$feed->id}")->assertNotFound();
        $this->post("/feeds/{$feed->id}/restore")->assertRedirect("/feeds/{$feed->id}");
        self::assertSame(1, Feed::query()->count());
    }
}
