<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\CustomerPeriod;
use App\Models\Decision;
use App\Models\IntakeKind;
use App\Models\Place;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\Technology;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Standings\Standings;
use App\View\Account\AccountPage;
use App\View\Account\AccountPoints;
use App\View\Accounts\AccountRow;
use App\View\Accounts\AccountsPage;
use App\View\Happened;
use App\View\Head;
use App\View\PointLine;
use App\View\Tab;
use Carbon\CarbonImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What the ranking and the page of an account say. */
final class AccountViewTest extends TestCase
{
    /** @return array<string, array{array<string, mixed>, callable(AccountRow): mixed, mixed}> */
    public static function rows(): array
    {
        $ranked = fn (AccountRow $row): string => $row->score();
        $moved = fn (AccountRow $row): string => $row->moved();

        return [
            'a priority' => [[], $ranked, '69'],
            'points where there is none' => [['priority' => null, 'points' => -12.04], $ranked, '−12.0'],
            'fit' => [[], fn (AccountRow $row): string => $row->fit(), '.80'],
            'fit in part unknown' => [['coverage' => .75], fn (AccountRow $row): string => $row->fit(), '.80 ?'],
            'no bounds where all is known' => [[], fn (AccountRow $row): ?string => $row->bounds(), null],
            'bounds' => [
                ['coverage' => .75, 'fit_low' => .55, 'fit_high' => .8],
                fn (AccountRow $row): ?string => $row->bounds(),
                'Between .55 and .80: 25 % of the weight is unknown',
            ],
            'new' => [['moved' => null], $moved, 'new'],
            'still' => [['moved' => .49], $moved, 'same'],
            'up' => [['moved' => 11.5], $moved, '+12'],
            'down' => [['moved' => -3.2], $moved, '−3'],
            'nobody’s' => [[], fn (AccountRow $row): string => $row->owner(), ''],
            'not approached' => [[], fn (AccountRow $row): ?CarbonImmutable => $row->approached(), null],
            'unknown' => [[], fn (AccountRow $row): string => $row->about(), 'heads unknown'],
        ];
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  callable(AccountRow): mixed  $reads
     */
    #[DataProvider('rows')]
    public function test_a_row_of_the_ranking_says(array $columns, callable $reads, mixed $says): void
    {
        $standing = Standing::factory()->create($columns + ['offer_id' => $this->offer->id])->refresh();
        self::assertSame($says, $reads(new AccountRow($standing, [], '/')));
    }

    public function test_a_row_knows_whose_it_is_where_and_when_it_was_approached(): void
    {
        $account = Account::factory()->create([
            'headcount' => 260,
            'headcount_given' => 'ca. 260',
            'owner_id' => $this->person('Mira Holm', $this->rep->role)
                ->id,
        ]);
        Place::factory()->create(['account_id' => $account->id]);
        Standing::factory()->create(['account_id' => $account->id, 'offer_id' => $this->offer->id]);
        foreach (['2026-11-03', '2026-11-20'] as $day) {
            Approach::factory()->create([
                'account_id' => $account->id, 'offer_id' => $this->offer->id, 'made_at' => $day,
            ]);
        }
        $row = AccountsPage::of($this->offer, [], 1)->rows()[0];
        self::assertSame(['Mira', 'Hobro · ca. 260 heads', '2026-11-20'], [
            $row->owner(), $row->about(), $row->approached()?->toDateString(),
        ]);
        self::assertSame(route('accounts.show', $account), $row->url);
    }

    public function test_barbs_stand_where_something_speaks_and_not_where_an_account_only_waits(): void
    {
        $signals = Signal::factory()->count(3)->create(['account_id' => Account::factory()]);
        $lines = $signals->map(fn (Signal $one): array => [$one->id, 'funding', 1.0, 1.0, 0, .25, null])->all();
        $row = function (StandingState $state, float $push) use ($lines, $signals): AccountRow {
            $standing = Standing::factory()->make([
                'account_id' => $signals[0]->account_id, 'offer_id' => $this->offer->id, 'state' => $state,
                'push' => $push, 'lines' => $lines,
            ]);

            return new AccountRow(
                $standing,
                SignalLine::of($standing, $signals, RuleBook::catalogueOf($this->offer->rules)),
                '/',
            );
        };
        self::assertSame(
            [2, 1],
            [count($row(StandingState::Ranked, .75)->barbs()), $row(StandingState::Ranked, 1)->more()],
        );
        self::assertSame([0, 0], [
            count($row(StandingState::Waiting, 0)->barbs()), $row(StandingState::Waiting, 0)->more(),
        ]);
        self::assertCount(2, $row(StandingState::Waiting, -.2)->barbs(), 'a drag is shown');
    }

    public function test_tabs_count_each_state_and_heads_say_the_order(): void
    {
        $states = [
            StandingState::Ranked, StandingState::Ranked, StandingState::Waiting, StandingState::Out,
        ];
        foreach ($states as $state) {
            Standing::factory()->create(['offer_id' => $this->offer->id, 'state' => $state]);
        }
        $page = AccountsPage::of($this->offer, ['sort' => 'act_by', 'q' => ''], 1);
        self::assertSame(
            [['Ranked', '2', true], ['Waiting', '1', false], ['Out', '1', false], ['Kept out', '0', false]],
            array_map(fn (Tab $tab): array => [$tab->label, $tab->count, $tab->current], $page->tabs()),
        );
        self::assertSame([
            'Priority', 'Account', 'Why now', 'Fit', 'Timing', 'Access', 'Act by', 'Owner', 'Last approach',
            'In a week',
        ], array_map(fn (Head $head): string => $head->label, $page->heads()));
        self::assertSame('ascending', $page->heads()[6]->sorted);
        self::assertSame(' ↑', $page->heads()[6]->arrow());
        self::assertNull($page->heads()[0]->sorted);
        self::assertSame(
            ['Points', 'Account', 'Why', 'Fit', 'Timing', 'Access', 'Owner', 'Last approach'],
            array_map(
                fn (Head $head): string => $head->label,
                AccountsPage::of($this->offer, ['tab' => 'out'], 1)->heads(),
            ),
            'who is out has no act-by day and no move',
        );
        self::assertSame(
            [true, false],
            [
                AccountsPage::of($this->offer, ['view' => 'picture'], 1)->isPicture,
                AccountsPage::of($this->offer, ['view' => 'picture', 'tab' => 'waiting'], 1)->isPicture,
            ],
            'only the ranking is drawn',
        );
        self::assertSame(
            route('accounts.index', ['view' => 'picture']),
            AccountsPage::of($this->offer, [], 1)->otherView(),
        );
    }

    public function test_an_account_of_which_nothing_is_known_says_so(): void
    {
        $account = Account::factory()->create(['name' => 'Glasverk', 'domain' => 'glasverk.example']);
        $page = AccountPage::of($this->offer, $account, $this->rep, []);
        self::assertSame('glasverk.example · industry unknown · place unknown · heads unknown', $page->about());
        self::assertSame([null, null, [], [], '0 earlier', false], [
            $page->state(), $page->decided(), $page->facts(), $page->technologies()->lines(), $page->saysEarlier(),
            $page->isKeptOut(),
        ]);
        self::assertNull($page->ways, 'nobody is written to before it was computed');
    }

    public function test_what_is_known_besides_stands_under_its_name(): void
    {
        $parent = Account::factory()->create(['name' => 'Glas Group']);
        $account = Account::factory()->create([
            'name' => 'Glasverk', 'domain' => 'glasverk.example', 'headcount' => 1021, 'growth' => .118, 'sites' => 3,
            'revenue' => 10.0, 'revenue_amount' => 112.0, 'revenue_currency' => 'SEK', 'founded' => 1961,
            'keywords' => 'container glass', 'description' => 'Makes glass.', 'parent_id' => $parent->id,
            'source' => 'trade register', 'seen_at' => '2026-11-20',
        ]);
        $account->industries()->create(['code' => '2310', 'position' => 0]);
        Place::factory()->create(['account_id' => $account->id, 'postal_code' => '9500']);
        Place::factory()->create(['account_id' => $account->id, 'headquarters' => false, 'city' => 'Skive']);
        $account->technologies()->attach([
            Technology::query()->create(['name' => 'Tryklog'])->id,
            Technology::query()->create(['name' => 'Vedliko'])->id,
        ]);
        CustomerPeriod::query()->create(['account_id' => $account->id, 'since' => '2024-03-01', 'best' => true]);
        $page = AccountPage::of($this->offer, $account->refresh(), $this->rep, []);

        self::assertSame(
            'glasverk.example · glass and glass products (ISIC 2310) · Hobro, Denmark · 1,021 heads · +12 % in a year '
                .'· 3 sites',
            $page->about(),
        );
        self::assertSame([
            'Industry' => 'Glass and glass products', 'Revenue' => 'SEK 112 (EUR 10)', 'Parent' => 'Glas Group',
            'Place' => 'Hobro, 9500, Denmark',
            'Other places' => 'Skive, Denmark',
            'What they run' => 'Tryklog, Vedliko',
            'Customer' => 'since Mar 2024, among the best', 'Headcount' => '1,021', 'Growth over a year' => '+12 %',
            'Sites' => '3', 'Founded' => '1961', 'Keywords' => 'container glass', 'Description' => 'Makes glass.',
        ], array_map(fn (array $fact): string => $fact[0], $page->facts()));
        self::assertSame(
            ['trade register · seen 20 November 2026'],
            array_values(array_unique(array_column($page->facts(), 1))),
        );
        self::assertSame(['Tryklog', 'Vedliko'], array_column($page->technologies()->lines(), 'name'));
    }

    /** @return array<string, array{string, string|null, string|null}> */
    public static function decisions(): array
    {
        return [
            'kept' => ['kept', null, 'Kept by Mira'],
            'put off' => ['later', '2026-12-01', 'Put off to 1 December by Mira'],
            'put off to no day' => ['later', null, 'Put off to another day by Mira'],
            'dropped' => ['dropped', null, null],
        ];
    }

    #[DataProvider('decisions')]
    public function test_what_was_decided_is_said(string $decision, ?string $until, ?string $says): void
    {
        $account = Account::factory()->create();
        Decision::query()->create([
            'account_id' => $account->id, 'offer_id' => $this->offer->id, 'user_id' => $this->rep->id,
            'decision' => $decision, 'until' => $until,
        ]);
        $page = AccountPage::of($this->offer, $account, $this->rep, []);
        self::assertSame([$says, true], [$page->decided(), $page->is($decision)]);
        self::assertFalse($page->is('something else'));
    }

    /** @return array<string, array{StandingState, string|null, string|null, bool}> */
    public static function states(): array
    {
        return [
            'ranked' => [StandingState::Ranked, null, null, false],
            'waiting' => [StandingState::Waiting, null, 'Waiting: no live signal counts for it', false],
            'out' => [StandingState::Out, 'makes things', 'Out: makes things', false],
            'kept out' => [
                StandingState::KeptOut, 'customer since 1 Mar 2024', 'Kept out: customer since 1 Mar 2024', false,
            ],
            'an agency' => [StandingState::KeptOut, 'agency, by its name', 'Kept out: agency, by its name', true],
        ];
    }

    #[DataProvider('states')]
    public function test_why_it_stands_anywhere_but_in_the_ranking(
        StandingState $state,
        ?string $cause,
        ?string $says,
        bool $isAgency,
    ): void {
        $standing = Standing::factory()->create([
            'offer_id' => $this->offer->id, 'state' => $state, 'cause' => $cause,
        ]);
        $page = AccountPage::of($this->offer, $standing->account, $this->rep, []);
        self::assertSame([$says, $isAgency, $state === StandingState::KeptOut], [
            $page->state(), $page->looksLikeAgency(), $page->isKeptOut(),
        ]);
    }

    public function test_points_are_told_line_by_line_and_add_up(): void
    {
        $account = $this->tunhede();
        $page = AccountPage::of($this->offer->refresh(), $account, $this->rep, []);
        $lines = $page->points?->lines() ?? [];
        self::assertSame('Every account starts at', $lines[0]->label);
        self::assertSame(
            ['Fits well', 'Pernille joined', 'Planners sought', 'Round B', 'Engineer sought', 'Can be reached'],
            array_map(fn (PointLine $line): string => $line->label, array_slice($lines, 1)),
        );
        // 25·(.55 + .26036 + .25 + .06527) and 12·.588, to one decimal
        self::assertSame(
            ['−40.0', '+25.0', '+13.8', '+6.5', '+6.3', '+1.6', '+7.1'],
            array_map(fn (PointLine $line): string => $line->points, $lines),
        );
        self::assertSame([
            ['makes things', 'gate', 'passed'], ['size', 'weight 2', '1.00'], ['shifts', 'weight 1', '1.00'],
        ], $lines[1]->made);
        self::assertSame('25 × Fit 1.00.', $lines[1]->says);
        // .45 · .75 · .9 · 1 · 6/7, and no other of its kind is stronger
        self::assertSame([
            ['weight of hiring', '', '.45'], ['strength', 'as brought', '.75'], ['confidence', '', '.90'],
            ['freshness', 'fresh', '1.00'], ['novelty', 'what is usual there says little', '.86'],
        ], $lines[3]->made);
        self::assertSame(['second of its kind', '', '.5'], $lines[5]->made[5] ?? null);
        self::assertStringStartsWith('25 × Fit 1.00 × push .26. The push is', $lines[3]->says);
        self::assertStringContainsString(
            'Rules version 1, computed within the hour.',
            (string) $page->points?->remark(),
        );
    }

    public function test_a_drag_is_said_to_speak_against_and_counts_down_to_minus_one(): void
    {
        $standing = Standing::factory()->create([
            'offer_id' => $this->offer->id, 'fit' => .8, 'push' => -1.5, 'access' => 0.0, 'points' => -40.0,
            'priority' => null, 'state' => StandingState::Waiting, 'criteria' => [0.0, null, .25],
            'fit_low' => .3, 'coverage' => 1 / 3,
        ]);
        $points = new AccountPoints(
            $standing->refresh()->load('ruleSet'), [], $this->offer->rules->criteria, null,
        );
        $lines = $points->lines();
        self::assertSame([
            ['Every account starts at', '−40.0'], ['Fits well', '+20.0'],
            ['What speaks against counts down to −1 only', '+10.0'], ['No way to reach them', '0.0'],
        ], array_map(fn (PointLine $line): array => [$line->label, $line->points], $lines));
        self::assertSame(
            [['makes things', 'gate', 'failed'], ['size', 'weight 2', 'unknown'], ['shifts', 'weight 1', '.25']],
            $lines[1]->made,
        );
        self::assertSame('33 % known', $lines[1]->note);
        self::assertStringContainsString('the Fit would lie between .30 and .80.', $lines[1]->says);
        self::assertSame('12 × Access .00: nobody who takes part is in reach.', $lines[3]->says);
        self::assertSame('−40.0', $points->total());
        self::assertStringStartsWith('It has no priority while it is waiting.', $points->remark());
    }

    /** @return array<string, array{float, float, string, string}> */
    public static function labels(): array
    {
        return [
            'well' => [.7, .5, 'Fits well', 'Can be reached'],
            'in part' => [.69, .49, 'Fits in part', 'Hard to reach'],
            'just' => [.4, .01, 'Fits in part', 'Hard to reach'],
            'little' => [.39, 0.0, 'Fits little', 'No way to reach them'],
        ];
    }

    #[DataProvider('labels')]
    public function test_fit_and_access_have_words(float $fit, float $access, string $fits, string $reached): void
    {
        $standing = Standing::factory()->make([
            'offer_id' => $this->offer->id, 'account_id' => 1, 'fit' => $fit, 'access' => $access, 'push' => 0.0,
        ]);
        $lines = (new AccountPoints($standing, [], [], null))->lines();
        self::assertSame([$fits, $reached], [$lines[1]->label, $lines[2]->label]);
    }

    public function test_what_happened_says_where_from_how_sure_and_where_in_its_life(): void
    {
        $account = Account::factory()->create();
        $one = fn (array $more): Signal => Signal::factory()->create($more + ['account_id' => $account->id]);
        $catalogue = RuleBook::catalogueOf($this->offer->rules);
        $happened = Happened::of([
            $one(['source' => 'press', 'confidence' => .6]),
            $one(['derived' => true, 'kind' => 'new_leader', 'occurred_at' => now()->subDays(3)]),
            $one(['occurred_at' => now()->addDays(3)]),
            $one(['occurred_at' => now()->subDays(80)]),
            $one(['occurred_at' => now()->subDays(400)]),
        ], [], $catalogue);
        self::assertSame([
            'funding · press · 60 % sure · fresh', 'new leader · follows from the positions · rising',
            'funding · announced', 'funding · fading', 'funding · spent',
        ], $happened->pluck('about')->all());
    }

    public function test_neighbours_are_those_of_the_order_one_came_from(): void
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount\na.example;A;glass;100\nb.example;B;glass;100\nc.example;C;glass;100\n",
        );
        (new Standings)->refresh();
        $ids = Account::query()->orderBy('domain')->pluck('id')->all();
        $page = fn (int $id, array $query): AccountPage => AccountPage::of(
            $this->offer->refresh(), Account::query()->findOrFail($id), $this->rep, $query,
        );
        $waiting = $page($ids[1], ['tab' => 'waiting']);
        self::assertSame('2 of 3', $waiting->neighbours->position());
        self::assertSame('Waiting', $waiting->neighbours->backTo);
        self::assertSame(route('accounts.show', [$ids[0], 'tab' => 'waiting']), $waiting->neighbours->before());
        self::assertSame("/accounts/{$ids[2]}?tab=waiting", $waiting->next());
        self::assertNull($page($ids[2], ['tab' => 'waiting'])->neighbours->after());
        self::assertSame('/accounts?tab=waiting', $page($ids[2], ['tab' => 'waiting'])->next());
        self::assertNull($page($ids[1], [])->neighbours->position(), 'it is not in the ranking');

        $found = $page($ids[1], ['on' => 'accounts', 'c' => [['f' => 'name', 'q' => 'B OR C']]]);
        self::assertSame(['1 of 2', 'what was found'], [
            $found->neighbours->position(), $found->neighbours->backTo,
        ]);
        self::assertNull($found->neighbours->before());
    }
}
