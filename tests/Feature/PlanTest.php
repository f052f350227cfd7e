<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Decision;
use App\Models\KeptList;
use App\Models\Place;
use App\Models\Reservation;
use App\Models\Role;
use App\Models\Standing;
use App\Models\StandingState;
use App\Standings\Standings;
use App\View\Accounts\Ranking;
use App\View\Today\Plan;
use App\View\Today\PlanRow;
use App\View\Today\TodayFocus;
use App\View\Today\TodayPage;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Priority\Points;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The day's plan (rule 18), on Monday 23 November 2026. */
final class PlanTest extends TestCase
{
    /** @return array<string, array{string|null, string}> act-by day, and where the approach stands */
    public static function days(): array
    {
        return [
            'ran out yesterday' => ['2026-11-22', 'later'],
            'today' => ['2026-11-23', 'hours'],
            'tomorrow' => ['2026-11-24', 'hours'],
            'the day after' => ['2026-11-25', 'week'],
            'on Sunday' => ['2026-11-29', 'week'],
            'on Monday' => ['2026-11-30', 'fortnight'],
            'in two weeks' => ['2026-12-07', 'fortnight'],
            'a day more' => ['2026-12-08', 'later'],
            'no hurry' => [null, 'later'],
        ];
    }

    #[DataProvider('days')]
    public function test_an_approach_stands_where_its_time_runs_out(?string $actBy, string $group): void
    {
        $this->ranked('Glasverk', 8.0, $actBy);
        self::assertSame([$group], array_keys($this->plan()->groups()));
    }

    public function test_what_runs_out_within_three_working_days_comes_first_for_a_third_of_the_day(): void
    {
        $this->rep->update(['pace' => 3]);
        $this->ranked('High', 9.0, '2027-01-31');
        $this->ranked('Higher', 10.0, '2027-01-31');
        $this->ranked('Thursday', 2.0, '2026-11-26');
        $this->ranked('Wednesday', 1.0, '2026-11-25');
        $this->ranked('Friday', 3.0, '2026-11-27');

        // By group: what hurries is within the week, the others later.
        self::assertSame(['Thursday', 'Higher', 'High'], $this->planned());
        $this->rep->update(['pace' => 5]);
        self::assertSame(['Thursday', 'Friday', 'Wednesday', 'Higher', 'High'], $this->planned());
        $this->rep->update(['pace' => 2]);
        self::assertSame(['Higher', 'High'], $this->planned(), 'a third of two is none');
    }

    public function test_over_a_weekend_three_working_days_are_five(): void
    {
        $this->at('2026-11-27T09:00:00Z');
        $this->rep->update(['pace' => 3]);
        foreach (['High' => 9.0, 'Higher' => 10.0, 'Highest' => 11.0] as $name => $points) {
            $this->ranked($name, $points, '2027-01-31');
        }
        $this->ranked('Wednesday', 1.0, '2026-12-02');
        self::assertSame(['Wednesday', 'Highest', 'Higher'], $this->planned());
        Standing::query()->where('points', 1.0)->update(['act_by' => '2026-12-03']);
        self::assertSame(['Highest', 'Higher', 'High'], $this->planned());
    }

    public function test_what_waiting_would_cost_counts_half(): void
    {
        $this->rep->update(['pace' => 2]);
        $this->ranked('Lasting', 2.0, null);
        $this->ranked('Fading', 0.0, null);
        $this->ranked('Lost', -2.0, null);
        // 54.98 + 0, 50 + ½ · 10, 45.02 + ½ · 45.02.
        Standing::query()->where('points', -2.0)->update(['later' => null]);
        Standing::query()->where('points', 0.0)->update(['later' => 40]);
        self::assertSame(['Lost', 'Fading'], $this->planned());
        [$lost, $fading] = $this->rows();
        self::assertSame('In a working week nothing speaks for it any more.', $lost->cost());
        self::assertSame('In a working week its priority would be 10 lower.', $fading->cost());
    }

    public function test_what_was_left_out_says_which_limit_held_it_back(): void
    {
        $this->rep->update(['pace' => 1]);
        $this->ranked('First', 9.0, null);
        $this->ranked('Second', 8.0, null);
        $ida = Contact::factory()->create(['account_id' => $this->ranked('Third', 7.0, null)->id]);
        Channel::factory()->create(['contact_id' => $ida->id]);
        Standing::query()->where('points', 7.0)->update([
            'contacts' => json_encode([[$ida->id, 60.0, 'shapes', null]]),
        ]);
        Approach::factory()->create([
            'contact_id' => $ida->id, 'account_id' => $ida->account_id, 'offer_id' => $this->offer->id,
            'made_at' => now()->subDays(20),
        ]);
        self::assertSame(
            [['Second', 'the day is full'], ['Third', 'approached in the last 30 days']],
            array_map(fn (array $one): array => [$one['name'], $one['why']], $this->page()->leftOut),
        );
        $this->actingAs($this->rep)->get('/')->assertSeeTextInOrder(['Left out today', 'Second', 'the day is full']);
    }

    public function test_the_week_has_a_pace_too_and_begins_on_monday_where_the_rep_is(): void
    {
        $this->rep->update(['pace' => 2, 'time_zone' => 'Europe/Stockholm']);
        // 00:30 on Monday in Gothenburg, while it is still Sunday in UTC.
        $this->at('2026-11-22T23:30:00Z');
        $this->ranked('One', 3.0, null);
        $made = fn (string $at, int $many): mixed => Approach::factory()->count($many)->create([
            'user_id' => $this->rep->id, 'offer_id' => $this->offer->id, 'made_at' => $at,
        ]);
        $made('2026-11-22T22:30:00Z', 10);
        self::assertSame([0, 2, 10], [$this->plan()->usedToday(), $this->plan()->left(), $this->plan()->leftOfWeek()]);
        $made('2026-11-22T23:10:00Z', 1);
        self::assertSame([1, 1, 9], [$this->plan()->usedToday(), $this->plan()->left(), $this->plan()->leftOfWeek()]);
        // On Thursday the pace of the week is nearly used up.
        $this->at('2026-11-26T09:00:00Z');
        $made('2026-11-24T09:00:00Z', 8);
        self::assertSame([0, 1], [$this->plan()->usedToday(), $this->plan()->left()]);
        $made('2026-11-25T09:00:00Z', 1);
        self::assertSame([[], 'Done for this week: all 10 approaches of it are made.'], [
            $this->planned(), $this->page()->lead,
        ]);
    }

    public function test_what_is_planned_is_reserved_and_a_colleague_plans_others(): void
    {
        $people = $this->two();
        $this->page();
        $held = Reservation::query()->sole();
        self::assertSame(
            [$people[0]->id, $this->rep->id, true, '2026-11-24'],
            [$held->contact_id, $held->user_id, $held->planned, $held->until->toDateString()],
        );
        self::assertSame(['First'], $this->planned(), 'what one planned oneself stays');
        $other = $this->person('Anton', Role::Rep);
        $page = TodayPage::of($this->offer, $other, 0);
        self::assertSame(['Second'], array_map(
            fn (PlanRow $row): string => $row->standing->account->name, array_merge(...array_values($page->groups)),
        ));
        self::assertSame(['First', 'reserved by a colleague'], [$page->leftOut[0]['name'], $page->leftOut[0]['why']]);
        self::assertSame([], $this->page()->leftOut, 'what ranks lower is held back by nobody: the day is full');
        // Off the plan, free again; reserved by hand, it stays.
        Decision::query()->create([
            'account_id' => $people[0]->account_id, 'user_id' => $this->rep->id, 'decision' => 'later',
            'until' => '2026-12-24', 'offer_id' => $this->offer->id,
        ]);
        $this->page();
        self::assertSame(0, Reservation::query()->where('user_id', $this->rep->id)->count());
        $this->actingAs($this->rep)->post(route('reservations.store', $people[0]))->assertSessionHasNoErrors();
        $this->page();
        self::assertFalse(Reservation::query()->where('user_id', $this->rep->id)->sole()->planned);
        // On the next working day but one, what was planned holds no longer.
        $this->at('2026-11-25T09:00:00Z');
        Decision::query()->delete();
        $this->page();
        self::assertSame(
            [$people[0]->id], Reservation::query()->where('user_id', $this->rep->id)->pluck('contact_id')->all(),
        );
    }

    public function test_of_two_who_plan_at_once_the_slower_plans_anew(): void
    {
        [$first] = $this->two();
        $other = $this->person('Anton', Role::Rep);
        $isLate = false;
        DB::connection()->beforeExecuting(function (string $query) use ($first, $other, &$isLate): void {
            if (! $isLate && str_starts_with($query, 'insert ignore into `reservations`')) {
                $isLate = true;
                Reservation::query()->insert([
                    'contact_id' => $first->id, 'account_id' => $first->account_id, 'offer_id' => $this->offer->id,
                    'user_id' => $other->id, 'until' => '2026-11-24', 'planned' => true,
                ]);
            }
        });
        $page = TodayPage::of($this->offer, $this->rep->refresh(), 0);
        self::assertTrue($isLate);
        self::assertSame(['Second'], array_map(
            fn (PlanRow $row): string => $row->standing->account->name, array_merge(...array_values($page->groups)),
        ));
    }

    /** @return list<Contact> of two accounts, the first to be approached first; there is room for one */
    private function two(): array
    {
        $people = [];
        foreach (['First' => 9.0, 'Second' => 8.0] as $name => $points) {
            $account = $this->ranked($name, $points, null);
            $people[] = $one = Contact::factory()->create(['account_id' => $account->id, 'first_name' => $name]);
            Channel::factory()->create(['contact_id' => $one->id, 'value' => "$name@firm.example"]);
            Standing::query()->where('account_id', $account->id)->update([
                'contacts' => json_encode([[$one->id, 60.0, 'shapes', null]]),
            ]);
        }
        $this->rep->update(['pace' => 1]);

        return $people;
    }

    public function test_an_approach_has_until_what_it_rests_on_fades_and_at_the_latest_until_the_accounts_day(): void
    {
        $this->tunhede();
        (new Standings)->all();
        $standing = Standing::query()->whereNotNull('priority')->sole();
        self::assertNotNull($standing->fades_on);
        [$row] = $this->rows();
        $until = min(array_map(
            fn ($line) => $line->freshUntil($row->catalogue),
            array_filter($row->draft->restsOn, fn ($line): bool => $line->isFresh()),
        ));
        self::assertEquals($until->min($standing->act_by), $row->actBy);
        Standing::query()->whereNotNull('priority')->update(['act_by' => '2026-11-24']);
        self::assertSame('2026-11-24', $this->rows()[0]->actBy?->toDateString());
    }

    public function test_waiting_accounts_fill_what_is_left_unless_something_speaks_against_them(): void
    {
        $this->rep->update(['pace' => 3]);
        $this->ranked('Ranked', 1.0, null);
        $this->waiting('Fits', -15.0, 0.0);
        $this->waiting('Fits better', -12.0, 0.0);
        $this->waiting('Lays off', -11.0, -.2);
        self::assertSame(['Ranked', 'Fits better', 'Fits'], $this->planned());
        self::assertSame(['later', 'waiting'], array_keys($this->plan()->groups()));
    }

    public function test_what_is_done_today_is_taken_off_the_pace(): void
    {
        $this->rep->update(['pace' => 2]);
        $this->ranked('One', 3.0, null);
        $this->ranked('Two', 2.0, null);
        $this->ranked('Three', 1.0, null);
        $done = ['user_id' => $this->rep->id, 'offer_id' => $this->offer->id];
        Approach::factory()->create($done + ['made_at' => now()->subDay()]);
        Approach::factory()->create(['user_id' => $this->lead->id] + $done);
        self::assertSame([0, 2], [$this->plan()->usedToday(), $this->plan()->left()]);
        self::assertSame(['One', 'Two'], $this->planned());

        Approach::factory()->create($done);
        self::assertSame([1, ['One']], [$this->plan()->left(), $this->planned()]);
        self::assertSame('1 approach left in your pace.', $this->page()->lead);
        Approach::factory()->create($done);
        self::assertSame([0, []], [$this->plan()->left(), $this->planned()]);
        self::assertSame('Done for today: 2 of 2 approaches made.', $this->page()->lead);
        self::assertSame(['One', 'Two'], array_map(
            fn (PlanRow $row): string => $row->standing->account->name, $this->page()->tomorrow,
        ));
        $this->actingAs($this->rep)->get('/')->assertSeeTextInOrder(['Tomorrow begins with', 'One', 'Done today']);
        self::assertTrue($this->page()->isDone);
        self::assertCount(2, $this->page()->done);
        Approach::factory()->create($done);
        self::assertSame(0, $this->plan()->left(), 'more than the pace leaves none, and not less');
    }

    /** @return array<string, array{callable(self, Account): mixed, bool}> what was done, and whether it is planned */
    public static function histories(): array
    {
        $approached = fn (array $more): callable => fn (self $test, Account $account): Approach => Approach::factory()
            ->create(['account_id' => $account->id, 'offer_id' => $test->offer->id] + $more);
        $decided = fn (string $decision, ?string $until, bool $here = true): callable => fn (
            self $test,
            Account $account,
        ): Decision => Decision::query()->create([
            'account_id' => $account->id, 'user_id' => $test->rep->id, 'decision' => $decision, 'until' => $until,
            'offer_id' => $here ? $test->offer->id : \App\Models\Offer::factory()->create()->id,
        ]);
        $owned = fn (string $by): callable => fn (self $test, Account $account): bool => $account->update(
            ['owner_id' => $test->{$by}->id],
        );

        return [
            'nothing' => [fn (): null => null, true],
            'mine' => [$owned('rep'), true],
            'a colleague’s' => [$owned('lead'), false],
            'approached without a name a fortnight ago' => [$approached(['made_at' => '2026-11-10 09:00']), false],
            'longer ago' => [$approached(['made_at' => '2026-11-08 09:00']), true],
            'put off until tomorrow by a result' => [
                $approached(['made_at' => '2026-10-01', 'later_on' => '2026-11-24']), false,
            ],
            'put off until today by a result' => [
                $approached(['made_at' => '2026-10-01', 'later_on' => '2026-11-23']), true,
            ],
            'put off until tomorrow' => [$decided('later', '2026-11-24'), false],
            'put off until today' => [$decided('later', '2026-11-23'), true],
            'put off for another offer' => [$decided('later', '2026-11-24', false), true],
            'kept' => [$decided('keep', null), true],
        ];
    }

    /** @param  callable(self, Account): mixed  $history */
    #[DataProvider('histories')]
    public function test_who_is_left_alone(callable $history, bool $isPlanned): void
    {
        $account = $this->ranked('Glasverk', 8.0, null);
        $history($this, $account);
        self::assertSame($isPlanned ? ['Glasverk'] : [], $this->planned());
    }

    public function test_a_row_leads_with_what_to_say_and_says_where_and_how(): void
    {
        $account = $this->ranked('Glasverk', 8.0, '2026-11-25');
        $account->update(['headcount' => 260, 'headcount_given' => 'ca. 260']);
        $account->industries()->create(['code' => '2310', 'position' => 0]);
        Place::factory()->create(['account_id' => $account->id]);
        $row = $this->rows()[0];
        self::assertSame('Hobro · glass and glass products · ca. 260 heads', $row->about());
        self::assertSame(['69', 'no contact known', [], 0, []], [
            $row->priority(), $row->way(), $row->barbs(), $row->more(), $row->why(),
        ]);
        self::assertSame(route('today', ['focus' => $account->id]), $row->address());
        self::assertSame(route('reasons.create', [$account->id, 'angle' => 'They fit']), $row->records());
    }

    public function test_whom_rule_9_takes_stands_in_the_row_and_who_is_skipped_takes_it_out(): void
    {
        $account = $this->ranked('Glasverk', 8.0, null);
        $ida = Contact::factory()->create([
            'account_id' => $account->id, 'title' => 'Head of Maintenance', 'first_name' => 'Ida', 'last_name' => 'Lie',
        ]);
        $standing = Standing::query()->sole();
        Standing::query()->update(['contacts' => json_encode([[$ida->id, 60.0, 'shapes', null]])]);
        self::assertSame([], $this->planned(), 'nobody there can be reached');

        Channel::factory()->create(['contact_id' => $ida->id]);
        self::assertSame(['Glasverk'], $this->planned());
        self::assertSame('Ida Lie', $this->rows()[0]->contact?->name());
        self::assertSame(
            route('reasons.create', [$account->id, 'contact' => $ida->id, 'angle' => 'They fit']),
            $this->rows()[0]->records(),
        );
        self::assertSame($standing->account_id, $this->plan()->row($account->id)?->standing->account_id);
        Approach::factory()->create([
            'contact_id' => $ida->id, 'account_id' => $account->id, 'offer_id' => $this->offer->id,
            'made_at' => now()->subDays(20),
        ]);
        self::assertSame([], $this->planned());
        self::assertNull($this->plan()->row($account->id));
    }

    public function test_the_first_is_in_focus_or_the_one_that_is_asked_for(): void
    {
        $first = $this->ranked('First', 9.0, null);
        $second = $this->ranked('Second', 8.0, '2026-11-24');
        $this->waiting('Third', -12.0, 0.0);
        $page = TodayPage::of($this->offer, $this->rep, 0);
        self::assertSame('Second', $page->inFocus->focus?->standing->account->name);
        self::assertTrue($page->isFocus($page->groups['Hours count'][0]));
        self::assertFalse($page->isFocus($page->groups['Later'][0]));
        self::assertSame(['Hours count', 'Later', 'Fits, no occasion yet'], array_keys($page->groups));
        self::assertSame('One has only hours.', $page->hurry);
        self::assertSame(
            'First',
            TodayPage::of($this->offer, $this->rep, $first->id)->inFocus->focus?->standing->account->name,
        );
        $this->ranked('Fourth', 7.0, '2026-11-23');
        self::assertSame('2 have only hours.', TodayPage::of($this->offer, $this->rep, 0)->hurry);

        self::assertSame(
            'Second',
            TodayFocus::of($this->offer, $this->rep, $second->id)->focus?->standing->account->name,
        );
        $second->update(['owner_id' => $this->lead->id]);
        self::assertSame(
            'Fourth',
            TodayFocus::of($this->offer, $this->rep, $second->id)->focus?->standing->account->name,
            'where it is no longer there, the first of the plan',
        );
    }

    public function test_steps_that_are_due_are_told_the_oldest_first(): void
    {
        $step = fn (string $name, ?string $on, array $more = []): Approach => Approach::factory()->create($more + [
            'user_id' => $this->rep->id, 'offer_id' => $this->offer->id, 'next_step' => $name, 'next_step_on' => $on,
            'made_at' => now()->subMonth(),
        ]);
        $step('yesterday', '2026-11-22');
        $step('today', '2026-11-23');
        $step('tomorrow', '2026-11-24');
        $step('long ago', '2026-10-01');
        $step('answered', '2026-11-01', ['result' => 'interested']);
        $step('a colleague’s', '2026-11-01', ['user_id' => $this->lead->id]);
        self::assertSame(['long ago', 'yesterday', 'today'], $this->page()->steps->pluck('next_step')->all());
        self::assertSame(
            route('accounts.show', $this->page()->steps[0]->account_id),
            $this->page()->at($this->page()->steps[0]),
        );
    }

    public function test_a_rep_sees_the_part_of_the_work_that_she_chose(): void
    {
        $this->offer->ruleSets()->create([
            'version' => 2, 'kinds' => [], 'criteria' => [], 'roles_of_interest' => [], 'buyer_roles' => [
                ['name' => 'Plant', 'functions' => ['operations'], 'neighbours' => []],
                ['name' => 'Upkeep', 'functions' => ['maintenance'], 'neighbours' => []],
            ],
        ]);
        $people = [];
        foreach (['Glasverk' => ['Ada', 'Bo'], 'Papirhus' => ['Cato']] as $name => $names) {
            $account = $this->ranked($name, 9.0, null);
            foreach ($names as $i => $first) {
                $people[$first] = $contact = Contact::factory()->create([
                    'account_id' => $account->id, 'first_name' => $first,
                ]);
                Channel::factory()->create(['contact_id' => $contact->id, 'value' => "$first@firm.example"]);
            }
            Standing::query()->where('account_id', $account->id)->update(['contacts' => json_encode(array_map(
                // Ada is in the role Plant, Bo in Upkeep, Cato in Plant.
                fn (string $first, int $i): array => [$people[$first]->id, 80.0 - $i, 'signs_off', $i],
                $names,
                array_keys($names),
            ))]);
        }
        $addressed = fn (): array => array_map(
            fn (PlanRow $row): ?string => $row->contact?->first_name,
            $this->rows(),
        );
        $ranked = fn (array $query): array => Ranking::from($this->offer->refresh(), $query)->query()->with('account')
            ->get()->pluck('account.name')->all();
        self::assertSame(['Ada', 'Cato'], $addressed());

        $this->actingAs($this->rep)->patch('/today', ['list' => '', 'role' => 'Upkeep'])->assertRedirect('/')
            ->assertSessionHas('said', 'Today shows only people in the role Upkeep.');
        self::assertSame(['Bo'], $addressed());
        self::assertSame(['Glasverk'], $ranked(['role' => 'Upkeep']));

        $list = KeptList::factory()
            ->create(['offer_id' => $this->offer->id, 'subject' => 'contacts', 'name' => 'Mine']);
        $list->addMember($people['Cato']->id);
        $this->patch('/today', ['list' => $list->id, 'role' => 'nonsense']);
        self::assertSame(['Cato'], $addressed());
        self::assertSame(['Papirhus'], $ranked(['list' => (string) $list->id]));
        self::assertSame([], $ranked(['list' => (string) $list->id, 'role' => 'Upkeep']));
        self::assertSame(
            ['list' => (string) $list->id, 'role' => 'Plant'],
            Ranking::from($this->offer, ['list' => (string) $list->id, 'role' => 'Plant'])->parameters(),
        );
        $this->get('/accounts?list='.$list->id)->assertOk()->assertSee('Papirhus')->assertDontSee('Glasverk');

        $this->patch('/today', ['list' => $list->id, 'role' => 'Upkeep']);
        self::assertSame(
            'Today shows only those on “Mine”, people in the role Upkeep, and none of them can be approached.',
            $this->page()->why(),
        );
        $list->delete();
        self::assertSame(['Bo'], $addressed(), 'a list that is gone narrows nothing');
        $this->patch('/today', [])->assertSessionHas('said', 'Today shows everybody.');
        self::assertSame(['Ada', 'Cato'], $addressed());
    }

    private function ranked(string $name, float $points, ?string $actBy): Account
    {
        $account = Account::factory()->create(['name' => $name]);
        Standing::factory()->create([
            'account_id' => $account->id, 'offer_id' => $this->offer->id, 'points' => $points, 'act_by' => $actBy,
            'priority' => Points::curve($points), 'later' => Points::curve($points),
        ]);

        return $account;
    }

    private function waiting(string $name, float $points, float $push): void
    {
        Standing::factory()->create([
            'account_id' => Account::factory()->create(['name' => $name])->id, 'offer_id' => $this->offer->id,
            'points' => $points, 'push' => $push, 'state' => StandingState::Waiting, 'priority' => null,
        ]);
    }

    private function plan(): Plan
    {
        return new Plan($this->offer->refresh(), $this->rep->refresh());
    }

    private function page(): TodayPage
    {
        return TodayPage::of($this->offer, $this->rep->refresh(), 0);
    }

    /** @return list<PlanRow> */
    private function rows(): array
    {
        return array_merge(...array_values($this->plan()->groups()));
    }

    /** @return list<string> names of the accounts, in the order of the plan's groups and within them */
    private function planned(): array
    {
        $order = array_merge([], ...array_values($this->plan()->groups()));

        return array_map(fn (PlanRow $row): string => $row->standing->account->name, $order);
    }
}
