<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\Role;
use App\Models\Standing;
use App\Models\User;
use App\Standings\RuleBook;
use App\Standings\Standings;
use App\Support\Format;
use App\View\Account\Ribbon;
use App\View\Accounts\Ranking;
use App\View\Rules\CriterionRow;
use App\View\Today\Plan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** What the screens show, and the order in which they show it. */
final class ScreensTest extends TestCase
{
    public function test_the_ranking_orders_by_priority_and_breaks_ties_as_the_rules_say(): void
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount;keywords\nb.example;Beta;glass;100;three shifts\n"
                ."a.example;Alpha;glass;100;three shifts\nstrong.example;Strong;glass;100;three shifts\n"
                ."soon.example;Soon;glass;100;three shifts\n",
        );
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;strength\n"
            ."a.example;expansion;2026-11-20;New line;.5\nb.example;expansion;2026-11-20;New line;.5\n"
            ."strong.example;expansion;2026-11-20;New line;1\nsoon.example;own_engagement;2026-11-22;Asked us;.4\n");
        (new Standings)->refresh();
        $names = fn (array $query): array => Ranking::from($this->offer, $query)->query()->with('account')->get()
            ->pluck('account.name')->all();

        self::assertSame(
            ['Strong', 'Soon', 'Alpha', 'Beta'],
            $names([]),
            'of three with the same points the earlier act-by comes first, then the name',
        );
        self::assertSame(['Alpha', 'Beta', 'Soon', 'Strong'], $names(['sort' => 'name']));
        self::assertSame(['Soon', 'Strong', 'Alpha', 'Beta'], $names(['sort' => 'act_by']));
        self::assertSame(['Beta'], $names(['q' => 'bet']));
        self::assertSame([], $names(['q' => '%']), 'a per cent sign is a letter like others');

        $beta = Account::query()->where('name', 'Beta')->firstOrFail();
        $around = Ranking::from($this->offer, [])->around($beta->id);
        self::assertSame([4, 4, null], [$around['position'], $around['of'], $around['after']]);
        $this->actingAs($this->rep)->get('/accounts/'.$beta->id.'?sort=name')->assertOk()->assertSeeText('2 of 4');
    }

    public function test_pages_and_neighbours_are_those_of_the_whole_order_however_many_have_the_same_points(): void
    {
        $random = new Randomizer(new Mt19937(3));
        foreach (range(1, 70) as $i) {
            DB::table('accounts')->insert([
                'id' => $i,
                'name' => ['Glas ', 'Papir ', 'Verk '][$i % 3].$random->getInt(1, 20),
                'domain' => "firm$i.example",
            ]);
            // Sevenths and thirds, which no text holds exactly.
            DB::table('standings')->insert(['account_id' => $i, 'offer_id' => $this->offer->id,
                'rule_set_id' => $this->offer->ruleSets()->value('id'),
                'state' => ['ranked', 'ranked', 'ranked', 'waiting'][$random->getInt(0, 3)],
                'fit' => $random->getInt(0, 2) / 3, 'fit_low' => 0, 'fit_high' => 1, 'coverage' => 1, 'push' => 0,
                'access' => 0, 'points' => $random->getInt(-5, 4) / 7, 'priority' => 50,
                'act_by' => [null, '2026-12-01', '2026-12-09'][$random->getInt(0, 2)], 'criteria' => '[]',
                'lines' => '[]', 'contacts' => '[]', 'computed_at' => now()]);
        }
        foreach (
            [[], ['q' => 'pap'], ['tab' => 'waiting'], ['sort' => 'name'], ['sort' => 'fit', 'q' => 'gla']] as $query
        ) {
            $ranking = Ranking::from($this->offer, $query);
            $all = Standing::query()->with('account')->where('state', $ranking->state)->get()->filter(
                fn (Standing $one): bool => str_contains(mb_strtolower($one->account->name), $query['q'] ?? ''),
            )
                ->sort(fn (Standing $a, Standing $b): int => match ($ranking->sort) {
                    'name' => $a->account->name <=> $b->account->name,
                    'fit' => $b->fit <=> $a->fit,
                    default => 0,
                } ?: [$b->points, $a->act_by === null, $a->act_by, $b->fit, $a->account->name, $a->account_id] <=> [
                    $a->points, $b->act_by === null, $b->act_by, $a->fit, $b->account->name, $b->account_id,
                ])->pluck('account_id')->values()->all();
            self::assertGreaterThan(8, count($all));
            for ($pages = [], $number = 1; $number <= 10; $number++) {
                $page = $ranking->page($number, 7, []);
                self::assertSame(count($all), $page->total());
                array_push($pages, ...$page->pluck('account_id')->all());
            }
            self::assertSame($all, $pages);
            foreach ($all as $i => $id) {
                self::assertSame(
                    [
                        'before' => $all[$i - 1] ?? null, 'after' => $all[$i + 1] ?? null, 'position' => $i + 1,
                        'of' => count($all),
                    ],
                    $ranking->around($id),
                );
            }
            $elsewhere = DB::table('accounts')->whereNotIn('id', $all)->value('id');
            self::assertSame(
                ['before' => null, 'after' => $all[0], 'position' => null, 'of' => count($all)],
                $ranking->around($elsewhere),
            );
        }
        self::assertSame([null, 0], [
            Ranking::from($this->offer, ['q' => 'nobody'])->around(1)['after'],
            Ranking::from($this->offer, ['tab' => 'out'])->page(1, 5, [])->total(),
        ]);
    }

    public function test_names_are_jumped_to_by_any_of_their_words(): void
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name\nglas.example;Papir Tunhede\nverk.example;Glas Verk\nother.example;Nord Glas\n",
        );
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;email\nglas.example;Glasne;Ude;a@glas.example\n"
                ."verk.example;Ude;Glasner;b@verk.example\nverk.example;Ida;Moe;c@verk.example\n",
        );
        $found = fn (string $typed): array => preg_match_all(
            '/<a [^>]*><span>([^<]+?) </',
            (string) $this->actingAs($this->rep)->get('/go?q='.rawurlencode($typed), ['HX-Request' => 'true'])
                ->assertOk()->getContent(),
            $names,
        )
            ? $names[1]
            : [];
        $all = $found('glas');
        self::assertSame(
            ['Glas Verk', 'Papir Tunhede', 'Nord Glas', 'Ude Glasner', 'Glasne Ude'],
            $all,
            'by the beginning of the name, by domain, by a later word; by the last name, then by the first',
        );
        self::assertSame(
            [['Ude Glasner'], ['Ude Glasner'], ['Ude Glasner', 'Glasne Ude'], []],
            [$found('ude glasner'), $found('glasner ude'), $found('glasne ud'), $found('moe ude')],
        );
    }

    public function test_the_account_page_opens_every_number_down_to_what_made_it(): void
    {
        $account = $this->tunhede();
        $page = $this->actingAs($this->rep)->get(route('accounts.show', $account))->assertOk();

        $page->assertSeeTextInOrder([
            'Every account starts at', '−40.0', 'Fits well', '+25.0', 'makes things', 'passed', 'Pernille joined',
            '+13.8', 'weight of new leader', '.55', 'strength', 'as brought', 'Planners sought', '+6.5', 'novelty',
            '.86', 'second of its kind', '.5', 'Can be reached', '+7.1', 'Points', '+20.2',
        ]);
        $page->assertSee('act by 31 January');
    }

    public function test_the_ribbon_says_of_each_day_what_the_standing_says_on_that_day(): void
    {
        $account = $this->tunhede();
        $ribbon = fn (): Ribbon => Ribbon::of(
            $account->load('signals.contact'),
            $this->standing($account),
            RuleBook::of($this->offer->refresh()->rules),
        );
        $before = $ribbon();
        self::assertEqualsWithDelta($this->standing($account)->timing(), $before->timing[0], 1e-9);
        $this->at('2026-12-07T09:00:00Z');
        (new Standings)->all();

        self::assertEqualsWithDelta(
            $this->standing($account)->timing(), $before->timing[14], 1e-9, 'what lay ahead came true',
        );
        self::assertSame($before->actBy - 14, $ribbon()->actBy);
    }

    public function test_today_fills_a_third_with_what_is_urgent_then_goes_by_priority_and_ends_with_what_fits(): void
    {
        $rows = $signals = '';
        foreach (range(1, 6) as $n) {
            $rows .= "late$n.example;Late $n;glass;100;three shifts\nsoon$n.example;Soon $n;glass;100;three shifts\n";
            $signals .= "late$n.example;new_leader;2026-10-20;Joined $n;1\n"
                ."soon$n.example;own_engagement;2026-11-17;Asked $n;1\n";
        }
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount;keywords\n{$rows}quiet.example;Quiet;glass;100;three shifts\n",
        );
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;strength\n$signals");
        (new Standings)->refresh();
        $this->rep->update(['pace' => 6]);
        $groups = (new Plan($this->offer->refresh(), $this->rep))->groups();
        $names = array_map(
            fn (array $group): array => array_map(fn ($row): string => $row->standing->account->name, $group),
            $groups,
        );

        self::assertSame(6, array_sum(array_map('count', $names)));
        self::assertCount(
            2,
            array_filter(
                array_merge(...array_values($names)),
                fn (string $name): bool => str_starts_with($name, 'Soon'),
            ),
            'a third of the day',
        );
        $this->rep->update(['pace' => 40]);
        self::assertSame(
            'Quiet',
            (new Plan($this->offer, $this->rep))->groups()['waiting'][0]->standing->account->name,
        );
    }

    public function test_an_entry_of_the_keep_out_ends_on_its_day_and_only_its_author_or_a_lead_takes_it_away(): void
    {
        $account = $this->tunhede();
        $this->actingAs($this->rep)
            ->post(
                route('keep-out.store'),
                ['value' => 'https://www.tunhede.example/x', 'reason' => 'talks with Anton', 'until' => '2026-11-30'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame('talks with Anton', $this->standing($account)->cause);
        $this->actingAs($this->person('Anton', Role::Rep))->delete(route('keep-out.destroy', KeepOut::query()->sole()))
            ->assertForbidden();
        $this->at('2026-12-01T09:00:00Z');
        (new Standings)->all();
        self::assertNull($this->standing($account)->cause);

        $this->post(route('keep-out.store'), ['value' => 'gmail.com', 'reason' => 'x'])
            ->assertSessionHasErrors('value');
        $this->post(route('keep-out.store'), ['value' => 'no domain', 'reason' => 'x'])
            ->assertSessionHasErrors('value');
        $this->post(route('keep-out.store'), ['value' => 'a.example', 'reason' => 'x', 'next' => '//elsewhere.example'])
            ->assertSessionHasErrors('next');
    }

    public function test_a_team_is_run_by_its_leads_and_an_admin_by_admins(): void
    {
        $admin = $this->person('Bosse', Role::Admin);
        $this->actingAs($this->lead);
        $this->post('/team', ['name' => 'Greta', 'role' => 'rep'])->assertSessionHasNoErrors();
        self::assertFalse(User::query()->where('name', 'Greta')->sole()->signs_in);
        $this->post('/team', ['name' => 'Selma', 'role' => 'rep', 'email' => 'selma@blasvik.example'])
            ->assertSessionHasErrors('password');
        $this->post('/team', [
            'name' => 'Selma', 'role' => 'admin', 'email' => 'selma@blasvik.example',
            'password' => 'long enough for it',
        ])
            ->assertSessionHasErrors('role');
        $this
            ->patch(
                route('team.update', $admin),
                ['name' => 'Bosse', 'role' => 'rep', 'email' => 'bosse@blasvik.example'],
            )
            ->assertForbidden();
        $this
            ->patch(
                route('team.update', $this->lead),
                ['name' => 'Ylva', 'role' => 'rep', 'email' => 'ylva@blasvik.example'],
            )
            ->assertSessionHasErrors('role');
        $this->actingAs($admin)
            ->patch(
                route('team.update', $this->lead),
                ['name' => 'Ylva', 'role' => 'rep', 'email' => 'ylva@blasvik.example'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(Role::Rep, $this->lead->refresh()->role);
    }

    public function test_offers_see_the_same_facts_by_rules_of_their_own(): void
    {
        $account = $this->tunhede();
        $this->actingAs($this->lead)->post('/offers', ['name' => 'Air purity'])->assertRedirect();
        (new Standings)->all();
        $other = $account->standings()->where('offer_id', '<>', $this->offer->id)->sole();
        self::assertSame([1.0, 1.0], [$other->fit, $other->coverage]);
        $this->get('/accounts')->assertSee('Air purity');
        $this->post('/offer', ['offer' => $this->offer->id]);
        $this->get('/accounts')->assertSeeText('Leak survey');
        self::assertCount(2, $account->standings()->get());
    }

    /** @return list<array{array<string, mixed>}> */
    public static function criteria(): array
    {
        return [
            [['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 2.0, 'range' => [40.0, null]]],
            [['name' => 'land', 'field' => 'country', 'mode' => 'must', 'any' => ['SE', 'DK']]],
            [[
                'name' => 'a plant there', 'field' => 'country', 'mode' => 'must', 'any' => ['SE'], 'any_site' => true,
            ]],
            [[
                'name' => 'near', 'field' => 'place', 'mode' => 'must_not',
                'within' => ['km' => 700.0, 'of' => [57.7, 11.97]],
            ]],
            [[
                'name' => 'words', 'field' => 'text', 'mode' => 'prefer', 'weight' => 1.5,
                'query' => '"three shifts" -trading',
            ]],
        ];
    }

    /** @param  array<string, mixed>  $criterion */
    #[DataProvider('criteria')]
    public function test_a_criterion_goes_through_its_form_unchanged(array $criterion): void
    {
        $kinds = array_map(
            fn ($rule): array => [
                'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold, 'half_life' => $rule->halfLife,
                'counts' => $rule->counts->value,
            ],
            \Luftig\Core\Signal\Catalogue::standard()->rules,
        );
        $this->actingAs($this->lead)
            ->post(
                route('rules.store', $this->offer),
                ['version' => 1, 'criteria' => [self::typed($criterion)], 'kinds' => $kinds],
            )
            ->assertSessionHasNoErrors();

        self::assertEquals([$criterion], $this->offer->refresh()->rules->criteria);
        self::assertSame([], $this->offer->rules->kinds, 'what is as in the standard catalogue is not kept');
    }

    /**
     * The fields of a form that holds a stored criterion, as the page shows them.
     *
     * @param  array<string, mixed>  $criterion
     * @return array<string, mixed>
     */
    private static function typed(array $criterion): array
    {
        $row = CriterionRow::stored('0', $criterion);
        $fields = array_map($row->given(...), [
            'name' => 'name', 'weight' => 'weight', 'value' => 'value', 'low' => 'low', 'high' => 'high',
            'where' => 'where',
        ]);

        return $fields + ['field' => $row->field()->value, 'mode' => $row->mode(), 'any' => array_map(
            strval(...),
            array_keys($row->chosen()),
        )];
    }

    public function test_an_intake_whose_worker_died_is_gone_on_with(): void
    {
        $intake = $this->receive(IntakeKind::Accounts, "domain;name\na.example;A\n");
        $intake->update(['state' => 'running']);
        $this->artisan('luftig:resume')->expectsOutputToContain('goes on')->assertSuccessful();

        self::assertSame(['done', 1], [$intake->refresh()->state->value, Account::query()->count()]);
    }

    public function test_jumping_finds_accounts_people_and_only_the_screens_one_may_see(): void
    {
        $this->tunhede();
        $this->actingAs($this->rep)->get('/go?q=tunhede')->assertSee('Glasverk Tunhede');
        $this->get('/go?q=askov')->assertSee('Pernille');
        $this->get('/go?q=rules')->assertDontSee('>Rules<', false);
        $this->actingAs($this->lead)->get('/go?q=rules')->assertSee('>Rules<', false);
    }

    public function test_a_bounce_takes_the_channel_away_from_the_access(): void
    {
        $account = $this->tunhede();
        $approach = Approach::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $account->id,
            'contact_id' => $account->contacts()->value('id'), 'user_id' => $this->rep->id, 'kind' => 'email',
            'made_at' => now(), 'snapshot' => [],
        ]);
        $this->actingAs($this->rep)->patch(route('approaches.update', $approach), ['result' => 'bounced'])
            ->assertSessionHasNoErrors();

        self::assertSame(0.0, $this->standing($account)->access);
    }

    public function test_times_are_said_in_words(): void
    {
        $now = CarbonImmutable::now();
        $said = array_map(
            fn (string $ago): string => Format::ago($now->modify($ago)),
            ['-20 minutes', '-3 hours', '-1 day', '-20 days', '-4 months', '-3 years', '+2 days'],
        );

        self::assertSame(
            ['within the hour', '3 hours ago', '1 day ago', '20 days ago', '4 months ago', '3 years ago', 'in 2 days'],
            $said,
        );
        self::assertSame(
            ['ran out 2 days ago', 'act today', 'act within 1 day', 'no hurry'],
            [
                Format::hurry($now->subDays(2)->startOfDay()), Format::hurry($now->startOfDay()),
                Format::hurry($now->addDay()->startOfDay()), Format::hurry(null),
            ],
        );
        self::assertSame(['.80', '1.00', '−.35', '+11.0', '−4.2'], [
            Format::part(.8), Format::part(1), Format::part(-.35), Format::points(11), Format::points(-4.21),
        ]);
    }
}
