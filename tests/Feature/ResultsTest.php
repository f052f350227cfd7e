<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Role;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Standings\Standings;
use App\View\Results\Rate;
use App\View\Rules\LookingBack;
use Carbon\CarbonImmutable;
use Tests\TestCase;

/** What brings answers: counted by what approaches had in common, learned from, and looked back at. */
final class ResultsTest extends TestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        $this->offer->rules->update(['buyer_roles' => [['name' => 'Maintenance', 'functions' => ['maintenance']]]]);
        (new Standings)->all();
        $this->offer->refresh();
    }

    public function test_a_rate_is_never_without_its_interval(): void
    {
        $rate = new Rate('hiring', 1, 20);
        self::assertSame(
            ['1 of 20', '5 %', '1 % – 24 %', 'not told apart from one in twenty yet'],
            [$rate->count(), $rate->share(), $rate->interval(), $rate->says()],
        );
        self::assertSame([1.8, 47.2, 10.0, 10.0], [$rate->from(), $rate->to(), $rate->dot(), $rate->mark()]);
        self::assertSame('above one in twenty', (new Rate('', 20, 100))->says());
        self::assertSame('below one in twenty', (new Rate('', 1, 400))->says());
        self::assertSame(['–', '0 % – 100 %'], [(new Rate('', 0, 0))->share(), (new Rate('', 0, 0))->interval()]);
    }

    public function test_answers_are_counted_by_what_approaches_had_in_common(): void
    {
        $pernille = Contact::query()->sole();
        $reason = Reason::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $this->account->id, 'evidence' => [
                'signals' => [['kind' => 'funding'], ['kind' => 'hiring']], 'facts' => [], 'angle' => 'New money',
            ],
        ]);
        $list = KeptList::factory()->create([
            'offer_id' => $this->offer->id, 'subject' => 'contacts', 'name' => 'Fair',
        ]);
        $list->addMember($pernille->id);
        $this->approach('2026-11-22T09:00:00Z', 'meeting', ['reason_id' => $reason->id, 'contact_id' => $pernille->id]);
        $this->approach('2026-11-21T09:00:00Z', 'silent', ['kind' => 'call', 'snapshot' => [
            'fit' => .5, 'access' => .4, 'kinds' => ['news' => .1, 'hiring' => .3, 'decline' => -.4],
        ]]);
        $this->approach('2026-10-01T09:00:00Z', 'interested', ['user_id' => $this->lead->id]);
        $this->approach('2026-11-20T09:00:00Z', null);
        Approach::factory()->create([
            'offer_id' => Offer::factory()->create()->id, 'result' => 'meeting', 'account_id' => $this->account->id,
            'snapshot' => [],
        ]);
        $answers = Answers::of($this->offer);
        self::assertSame([2, 3], $answers->all(), 'what has no result, and another offer’s, does not count');
        $groups = $answers->groups();
        self::assertEquals(
            ['hiring' => [1, 2], 'funding' => [1, 1], 'no signal' => [1, 1]], $groups['Kind of signal'],
        );
        self::assertSame(['New money' => [1, 1]], $groups['Angle']);
        self::assertEquals(['in none' => [1, 2], 'Maintenance' => [1, 1]], $groups['Buyer role']);
        self::assertEquals(['e-mail' => [2, 2], 'call' => [0, 1]], $groups['Channel']);
        self::assertSame(['Fair' => [1, 1]], $groups['List or batch']);
        self::assertEquals(['Mira' => [1, 2], 'Ylva' => [1, 1]], $groups['Rep']);
        // On the 20th somebody was sought; before October nothing had happened.
        self::assertSame(
            ['within 3 days' => [1, 2], 'none before it' => [1, 1]], $groups['Newest signal before the approach'],
        );
        self::assertSame(
            ['meeting' => [1, 3], 'silent' => [1, 3], 'interested' => [1, 3]],
            array_replace(['meeting' => [], 'silent' => [], 'interested' => []], $groups['What came of it, of all']),
        );
        self::assertSame([1, 2], Answers::of($this->offer, CarbonImmutable::parse('2026-11-01'))->all());
    }

    public function test_the_screen_shows_counts_intervals_and_what_changed(): void
    {
        $this->actingAs($this->rep)->get(route('results'))->assertOk()->assertSee('No approach has a result yet');
        $this->approach('2026-11-20T09:00:00Z', 'meeting');
        $this->approach('2026-11-19T09:00:00Z', 'silent', ['kind' => 'call']);
        $this->approach('2026-10-10T09:00:00Z', 'no');
        $this->get(route('results'))->assertSeeTextInOrder(['All', '3', '30 days', '2'])
            ->assertSeeText('In the last 30 days 1 of 2 answered (9 % – 91 %), in the 30 before 0 of 1 (0 % – 79 %).')
            ->assertSeeText('By these rules')->assertSee('of 1 pair')
            ->assertSeeText('At least 15 answers and 15 approaches without one are needed; there are 1 of 3.');
        $this->get(route('results', ['span' => 'month']))->assertSeeText('1 of 2')->assertDontSeeText('1 of 3');
        $this->get(route('results', ['span' => 'ever']))->assertSeeText('1 of 3');
        $this->actingAs($this->person('Anton', Role::Rep))->get(route('results'))->assertOk();
    }

    public function test_looking_back_ranks_by_what_was_known_when_the_approach_was_made(): void
    {
        foreach ([['meeting', .9, 1.0], ['silent', .3, .2], ['silent', .95, .1]] as $i => [$result, $fit, $x]) {
            $this->approach('2026-11-0'.($i + 1).'T09:00:00Z', $result, [
                'snapshot' => ['fit' => $fit, 'access' => .5, 'kinds' => ['new_leader' => $fit * $x]],
            ]);
        }
        $back = (new Lessons($this->offer, Answers::of($this->offer)->approaches))->lookingBack();
        self::assertSame(['by these rules', 'newest signal first', 'by fit only'], array_keys($back));
        // .9 and a new leader beats both; by fit alone one of the two stands higher.
        self::assertEqualsWithDelta(1.0, $back['by these rules']->concordance, 1e-12);
        self::assertEqualsWithDelta(.5, $back['by fit only']->concordance, 1e-12);
    }

    public function test_rules_that_are_edited_say_how_well_they_would_have_told_it(): void
    {
        // A new leader answered, news did not; where news weighs more, the pair is told the wrong way round.
        foreach ([['meeting', 'new_leader'], ['silent', 'news']] as $i => [$result, $kind]) {
            $this->approach('2026-11-0'.($i + 1).'T09:00:00Z', $result, [
                'snapshot' => ['fit' => .8, 'access' => .5, 'kinds' => [$kind => .5]],
            ]);
        }
        $rules = $this->offer->rules;
        self::assertNotNull($rules);
        $other = $rules->replicate()->fill(['kinds' => ['news' => ['weight' => .9]]]);
        self::assertSame(
            'Looking back, they would have ranked who answered above who did not in 0 % (0 % – 0 %) of 1 pair; the '
                .'rules in force did in 100 % (100 % – 100 %). Fit counts as it was then.',
            LookingBack::says($this->offer, $other),
        );
        self::assertNull(LookingBack::says(Offer::factory()->create(), $other));
        $other->fill(['version' => 2])->save();
        $this->actingAs($this->rep)->get(route('results'))->assertSeeTextInOrder([
            'By these rules', '0 %', 'By the version before', '100 %',
        ]);
    }

    /** @param  array<string, mixed>  $more */
    private function approach(string $at, ?string $result, array $more = []): void
    {
        Approach::factory()->create($more + [
            'offer_id' => $this->offer->id, 'account_id' => $this->account->id, 'user_id' => $this->rep->id,
            'contact_id' => null, 'kind' => 'email', 'made_at' => $at, 'result' => $result, 'snapshot' => [],
        ]);
    }
}
