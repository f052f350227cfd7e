<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Approach;
use App\Models\Feed;
use App\Models\Offer;
use App\Models\User;
use App\Standings\FirstSteps;
use App\Standings\NewRules;
use App\Standings\Standings;
use App\Standings\Starter;
use App\View\Begin\BeginPage;
use App\View\Screen;
use App\View\Today\WhyNobody;
use Illuminate\Support\Facades\Hash;
use Luftig\Core\Company\Industries;
use Luftig\Core\Rules\Input;
use Luftig\Core\Rules\Roles;
use Luftig\Core\Signal\Kind;
use Tests\TestCase;

/** The way of somebody who begins: its steps, rules to begin with, and why there is nobody yet. */
final class FirstStepsTest extends TestCase
{
    public function test_steps_are_left_and_come_back_to(): void
    {
        $this->offer->update(['name' => FirstSteps::UNNAMED]);
        $this->offer->rules?->update(['criteria' => []]);
        $this->actingAs($this->lead)->get('/begin')->assertOk()->assertSeeText('What we sell');
        $this->post('/begin/sells', ['name' => ''])->assertSessionHasErrors('name');
        $this->post('/begin/sells', ['name' => 'Quastrein', 'question' => 'Who [name] does it?'])
            ->assertSessionHasErrors('question');
        $this->post('/begin/sells', ['name' => 'Quastrein'])->assertRedirect('/begin?step=2');
        $this->get('/begin')->assertSeeText('Whom Quastrein serves');
        $this->post('/begin/serves', ['industries' => ['Zwitscherkram'], 'low' => 'many'])
            ->assertSessionHasErrors(['industries', 'low']);
        $this->post('/begin/serves', [
            'trade' => 'practices', 'industries' => ['8620'], 'countries' => ['DACH'], 'low' => '8', 'high' => '1.200',
            'not' => ['Dentallabor'],
        ])->assertRedirect('/begin?step=3&trade=practices');
        $criteria = $this->offer->refresh()->rules->criteria ?? [];
        self::assertSame(
            [['8620'], ['AT', 'CH', 'DE'], ['32'], [8, 1200]],
            [$criteria[0]['any'], $criteria[1]['any'], $criteria[2]['any'], $criteria[3]['range']],
        );
        // Coming back changes these, and leaves what was added under Rules.
        $this->offer->rules?->update(['criteria' => [...$criteria, [
            'name' => 'Grows', 'field' => 'growth', 'mode' => 'prefer', 'weight' => 1, 'range' => [.05, null],
        ]]]);
        $this->get('/begin?step=2')->assertSeeText('medical and dental practice activities (8620)')
            ->assertSee('value="1200"', false);
        $this->post('/begin/serves', ['industries' => ['8620', '8690'], 'countries' => ['DE']]);
        self::assertSame(
            ['Industry', 'Country', 'Grows'],
            array_column($this->offer->refresh()->rules->criteria ?? [], 'name'),
        );
        $this->post('/begin/buys', ['trade' => 'practices'])->assertSessionHasErrors('roles');
        $this->post('/begin/buys', ['trade' => 'practices', 'roles' => ['Whoever runs it', 'Clinical lead']])
            ->assertRedirect('/begin?step=4');
        $rules = $this->offer->refresh()->rules;
        self::assertSame(['Whoever runs it', 'Clinical lead'], array_column($rules->buyer_roles ?? [], 'name'));
        self::assertSame(['counts' => 'ignored'], $rules->kinds['funding'] ?? null);
        self::assertTrue(FirstSteps::areOpen());
        $this->get('/begin')->assertSeeText('Bring accounts, contacts, customers, signals');
        $this->tunhede();
        self::assertFalse(FirstSteps::areOpen());
        $page = BeginPage::of($this->offer->refresh(), $this->lead, 0, '');
        self::assertSame(
            [5, [true, true, true, true, false, false, true]],
            [$page->step, array_column($page->steps(), 'isDone')], 'one can work; two of us sign in',
        );
        Approach::factory()->create();
        $this->get('/begin')->assertSeeText('Sources that are asked by themselves');
        $this->get('/begin?step=7')->assertSeeText($this->rep->name.', rep');
        self::assertContains(Screen::Begin, Screen::menu($this->lead));
        Feed::factory()->create(['name' => 'Board of the north']);
        $this->get('/begin?step=6')->assertSeeText('Board of the north');
        self::assertNotContains(Screen::Begin, Screen::menu($this->lead));
        $this->actingAs($this->rep)->get('/begin')->assertForbidden();
        $this->post('/begin/serves', [])->assertForbidden();
    }

    public function test_criteria_of_other_names_are_named_and_stay(): void
    {
        $offer = Offer::query()->firstOrFail();
        NewRules::change($offer, ['criteria' => [[
            'name' => 'Makes things', 'field' => 'industries', 'mode' => 'must', 'any' => ['C'],
        ]]], $this->lead, 'before');
        $this->actingAs($this->lead)->get('/begin?step=2')->assertSeeText('The rules also ask “Makes things”.');
        $this->post('/begin/serves', ['countries' => ['DE']])->assertSessionHasNoErrors();
        self::assertSame(['Country', 'Makes things'], array_column(
            Offer::query()->firstOrFail()->rules->criteria ?? [], 'name',
        ));
    }

    public function test_what_a_criterion_weighs_stays_when_its_values_change(): void
    {
        NewRules::change(Offer::query()->firstOrFail(), ['criteria' => [
            ['name' => 'Size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 5.0, 'range' => [10, null]],
            ['name' => 'Country', 'field' => 'country', 'mode' => 'prefer', 'weight' => .5, 'any' => ['DE']],
        ]], $this->lead, 'before');
        $this->actingAs($this->lead)->post('/begin/serves', ['countries' => ['SE'], 'low' => '20', 'high' => '90']);
        $criteria = array_column(Offer::query()->firstOrFail()->rules->criteria ?? [], null, 'name');
        self::assertEquals([5.0, [20, 90]], [$criteria['Size']['weight'], $criteria['Size']['range']]);
        self::assertEquals(['prefer', .5, ['SE']], [
            $criteria['Country']['mode'], $criteria['Country']['weight'], $criteria['Country']['any'],
        ]);
    }

    public function test_rules_to_begin_with_are_rules(): void
    {
        $starters = Starter::all();
        self::assertGreaterThanOrEqual(10, count($starters));
        foreach ($starters as $trade => $starter) {
            foreach ($starter->industries as $code) {
                self::assertTrue(Industries::has($code), "$trade: $code");
            }
            self::assertNotSame([], $starter->roles, $trade);
            foreach ($starter->roles as $role) {
                self::assertNotSame([], Roles::buyer(Input::of($role))->name, $trade);
            }
            foreach (array_keys($starter->kinds) as $kind) {
                self::assertNotNull(Kind::tryFrom($kind), "$trade: $kind");
            }
            $this->actingAs($this->lead)->post('/begin/buys', [
                'trade' => $trade, 'roles' => array_column($starter->roles, 'name'),
            ])->assertSessionHasNoErrors()->assertRedirect('/begin?step=4');
        }
    }

    public function test_why_there_is_nobody_is_said(): void
    {
        self::assertSame(
            'There is no account yet. Bring a file of accounts, then one of signals.',
            WhyNobody::says($this->offer),
        );
        $account = $this->tunhede();
        self::assertNull(WhyNobody::says($this->offer));
        $account->industries()->delete();
        $account->industries()->create(['code' => '4690', 'position' => 0]);
        $account->update(['stale' => true]);
        (new Standings)->refresh();
        $why = 'The one account is out: 1 by “makes things”. The rules say whom Leak survey serves.';
        self::assertSame($why, WhyNobody::says($this->offer));
        $this->actingAs($this->rep)->get('/')->assertOk()->assertSeeText($why);
    }

    public function test_whoever_begins_is_led_there_and_a_lost_password_is_set_anew(): void
    {
        $this->offer->rules?->update(['criteria' => []]);
        $this->post('/sign-in', ['email' => $this->lead->email, 'password' => 'a long password'])
            ->assertRedirect(route('begin'));
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $this->rep->email, 'password' => 'a long password'])->assertRedirect('/');
        $this->artisan('luftig:password', ['email' => 'nobody@blasvik.example'])
            ->expectsOutputToContain('Nobody who signs in has that address')->assertFailed();
        $this->artisan('luftig:password', ['email' => strtoupper($this->rep->email)])->assertSuccessful();
        self::assertFalse(Hash::check('a long password', (string) $this->rep->refresh()->password));
        self::assertSame(1, Offer::query()->count());
        self::assertSame(2, User::query()->count());
    }
}
