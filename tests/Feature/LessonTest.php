<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\ItemKind;
use App\Models\Lesson;
use App\Models\Reason;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Standings\RuleBook;
use App\Standings\Standings;
use App\View\Results\LessonPage;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use Tests\TestCase;

/** What results speak for: looked at, accepted into the rules, declined, undone (rule 20). */
final class LessonTest extends TestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        (new Standings)->all();
    }

    public function test_with_too_few_results_nothing_is_proposed(): void
    {
        $this->actingAs($this->lead)->get(route('lessons.show'))->assertOk()
            ->assertSeeText('there are 0 of 0')->assertDontSeeText('Accept');
        $this->post(route('lessons.store'), ['accepted' => 1])->assertSessionHasErrors('lesson');
        self::assertSame(0, Lesson::query()->count());
    }

    public function test_a_lead_accepts_what_results_speak_for_and_takes_it_back(): void
    {
        $this->results();
        $page = new LessonPage($this->offer->refresh());
        $lines = array_column($page->lines(), null, 'name');
        self::assertSame('+13.8', $lines['New leader']['before']);
        self::assertSame('more than is set', $lines['New leader']['moved']);
        self::assertSame('as is set, as far as can be told', $lines['Funding']['moved']);
        self::assertSame('weight .50', $lines['Funding']['becomes']);
        $before = Standing::query()->whereNotNull('priority')->sole();
        $this->actingAs($this->lead)->get(route('lessons.show'))->assertSeeText('Learned from 24 answers to 60')
            ->assertSeeTextInOrder([
                'New leader', 'more than is set', 'Accept as the rules', 'Whether the chances hold',
            ]);
        $this->get(route('lessons.moves'))->assertOk()->assertSeeText('1 of 1 account would move');
        $this->accept($page)->assertSessionHasNoErrors()->assertSessionHas('said', 'Accepted, as version 2 of the '
            .'rules; the ranking follows it now.');

        $rules = $this->offer->refresh()->rules;
        self::assertInstanceOf(RuleSet::class, $rules);
        $weight = RuleBook::catalogueOf($rules)->of(Kind::NewLeader)->weight;
        self::assertGreaterThan(1, $weight, 'results spoke for a new leader, above all');
        self::assertSame([2, 'Learned from 60 results'], [$rules->version, $rules->note]);
        self::assertTrue($rules->lesson?->accepted);
        self::assertCount(60, $rules->lesson->approaches);
        self::assertSame($this->lead->id, $rules->lesson->user_id);
        $after = Standing::query()->whereNotNull('priority')->sole();
        self::assertNotSame($before->points, $after->points);
        self::assertSame($rules->id, $after->rule_set_id);
        $lines = array_map(fn ($line): float => (float) strtr($line->points, ['−' => '-']), $this->pointLines());
        self::assertEqualsWithDelta($after->points, array_sum($lines), .3, 'the lines add up by the new rules too');
        $this->get(route('accounts.show', $this->account))->assertSeeText('as 60 results have it')
            ->assertSeeText('Rules version 2');
        // The same results do not count twice: they say the same again, and nothing is left to accept.
        $this->get(route('lessons.show'))->assertSeeText('The rules follow these results already')
            ->assertSeeText('Ylva accepted what 60 results spoke for')->assertDontSeeText('Accept as the rules');

        $this->post(route('lessons.back', RuleSet::query()->where('version', 1)->sole()))->assertRedirect();
        $rules = $this->offer->refresh()->rules;
        self::assertInstanceOf(RuleSet::class, $rules);
        self::assertSame([3, null, []], [$rules->version, $rules->lesson_id, $rules->points]);
        self::assertSame(.55, RuleBook::catalogueOf($rules)->of(Kind::NewLeader)->weight);
        self::assertEqualsWithDelta(
            $before->points, Standing::query()->whereNotNull('priority')->sole()->points, 1e-9,
        );
        $this->get(route('lessons.show'))->assertSeeText('Accept as the rules');
    }

    public function test_declined_it_is_remembered_and_nothing_moves(): void
    {
        $this->results();
        $page = new LessonPage($this->offer->refresh());
        $this->actingAs($this->lead)->post(route('lessons.store'), [
            'accepted' => 0, 'mark' => $page->mark(), 'version' => 1,
        ])->assertSessionHas('said', 'Declined. The rules stay as they are.');
        self::assertSame([1, false], [$this->offer->ruleSets()->count(), Lesson::query()->sole()->accepted]);
        $this->approach('meeting');
        $this->get(route('lessons.show'))->assertSeeText('Ylva declined what 60 results spoke for')
            ->assertSeeText('1 result came since.');
    }

    public function test_only_who_leads_accepts_and_only_what_they_looked_at(): void
    {
        $this->results();
        $page = new LessonPage($this->offer->refresh());
        $this->actingAs($this->rep)->get(route('lessons.show'))->assertOk()->assertDontSeeText('Accept as the rules');
        $this->accept($page)->assertForbidden();
        $this->approach('meeting');
        $this->actingAs($this->lead);
        $this->accept($page)->assertSessionHasErrors('lesson');
        self::assertSame([1, 0], [$this->offer->ruleSets()->count(), Lesson::query()->count()]);
        $this->get(route('lessons.show'))->assertSeeText('Results came in, or somebody saved other rules');
        $this->accept(new LessonPage($this->offer))->assertSessionHasNoErrors();
        $this->accept(new LessonPage($this->offer))->assertSessionHasErrors('lesson');
        self::assertSame(2, $this->offer->ruleSets()->count(), 'twice at once is once');
    }

    public function test_a_weight_that_is_set_by_hand_ends_what_was_learned_and_a_criterion_does_not(): void
    {
        $this->results();
        $this->actingAs($this->lead);
        $this->accept(new LessonPage($this->offer->refresh()));
        $lesson = $this->offer->refresh()->rules?->lesson_id;
        self::assertNotNull($lesson);
        $form = $this->form();
        $this->post(route('rules.store', $this->offer), $form + ['version' => 2])->assertSessionHasNoErrors();
        self::assertSame($lesson, $this->offer->refresh()->rules?->lesson_id);
        $form['points']['fit'] = '31';
        $this->post(route('rules.store', $this->offer), $form + ['version' => 3])->assertSessionHasNoErrors();
        self::assertNull($this->offer->refresh()->rules?->lesson_id);
        self::assertSame(31.0, RuleBook::linesOf($this->offer->rules ?? new RuleSet)->fit);
        $form['points']['fit'] = '1000';
        $this->post(route('rules.store', $this->offer), $form + ['version' => 4])
            ->assertSessionHasErrors('points.fit');
        $this->get(route('accounts.show', $this->account))->assertDontSeeText('Chance of an answer')
            ->assertSeeText('31 × Fit');
    }

    public function test_a_source_is_proposed_to_be_as_sure_as_its_signals_were(): void
    {
        $feed = Feed::factory()->create(['name' => 'Valley press', 'confidence' => .9]);
        $signals = Signal::query()->where('account_id', $this->account->id)->limit(2)->get();
        foreach ($signals as $i => $signal) {
            $item = FeedItem::query()->create([
                'feed_id' => $feed->id, 'mark' => "item $i", 'content' => '', 'kind' => ItemKind::Report,
                'title' => 'A story', 'facts' => [], 'raw' => '', 'seen_at' => now(),
            ]);
            DB::table('signal_sources')->insert([
                'signal_id' => $signal->id, 'feed_item_id' => $item->id, 'confidence' => .9, 'because' => 'its domain',
            ]);
            $reason = Reason::factory()->create([
                'offer_id' => $this->offer->id, 'account_id' => $this->account->id, 'evidence' => [
                    'signals' => [['id' => $signal->id, 'kind' => $signal->kind]], 'facts' => [],
                ],
            ]);
            $this->approach('silent', ['reason_id' => $reason->id]);
        }
        $this->actingAs($this->rep)->delete(route('signals.destroy', $signals[0]), ['reason' => 'It is about others.']);
        // (1 + 10 · .9) ÷ (2 + 10)
        $this->actingAs($this->lead)->get(route('lessons.show'))
            ->assertSeeText('1 of 2 signals that approaches rested on held; set is .90')->assertSeeText('Take .83');
        $this->post(route('lessons.source', $feed))->assertSessionHasNoErrors();
        self::assertSame(.83, $feed->refresh()->confidence);
        $this->post(route('lessons.source', Feed::factory()->create()))->assertNotFound();
    }

    public function test_chances_are_told_by_what_was_learned_from_the_others(): void
    {
        $this->results();
        $fifths = (new Lessons($this->offer->refresh(), Answers::of($this->offer)->approaches))->reliability();
        self::assertSame([12, 12, 12, 12, 12], array_column($fifths, 'of'));
        self::assertSame(24, array_sum(array_column($fifths, 'answered')));
        self::assertGreaterThan(.5, $fifths[0]['score']);
        self::assertLessThan(.5, $fifths[4]['score']);
        self::assertGreaterThan($fifths[4]['answered'], $fifths[0]['answered']);
    }

    /** Twenty of sixty met a new leader, and all of them answered; of the others, one in ten. */
    private function results(): void
    {
        for ($i = 0; $i < 60; $i++) {
            $hasLeader = $i % 3 === 0;
            $this->approach($hasLeader || $i % 10 === 1 ? 'interested' : 'silent', [
                'snapshot' => ['fit' => .8, 'access' => .5, 'kinds' => $hasLeader
                    ? ['new_leader' => .8 * .7] : ['news' => .8 * .5]],
            ]);
        }
    }

    /** @param  array<string, mixed>  $more */
    private function approach(string $result, array $more = []): void
    {
        Approach::factory()->create($more + [
            'offer_id' => $this->offer->id, 'account_id' => $this->account->id, 'user_id' => $this->rep->id,
            'contact_id' => null, 'kind' => 'email', 'made_at' => '2026-11-10T09:00:00Z', 'result' => $result,
            'snapshot' => ['fit' => .5, 'access' => .5, 'kinds' => []],
        ]);
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function accept(LessonPage $page): mixed
    {
        return $this->post(route('lessons.store'), [
            'accepted' => 1, 'mark' => $page->mark(), 'version' => $page->version(),
        ]);
    }

    /** @return array<string, array<int|string, mixed>> the form of the rules as it stands */
    private function form(): array
    {
        $rules = $this->offer->refresh()->rules ?? new RuleSet;
        $kinds = [];
        foreach (RuleBook::catalogueOf($rules)->rules as $kind => $rule) {
            $kinds[$kind] = [
                'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold,
                'half_life' => $rule->halfLife, 'counts' => $rule->counts->value,
            ];
        }

        return ['kinds' => $kinds, 'points' => \Luftig\Core\Rules\Lines::all(RuleBook::linesOf($rules)), 'criteria' => [
            ['name' => 'Size', 'field' => 'headcount', 'mode' => 'prefer', 'low' => '50', 'high' => '500'],
        ]];
    }

    /** @return list<\App\View\PointLine> of the account, as it stands */
    private function pointLines(): array
    {
        return \App\View\Account\AccountPage::of(
            $this->offer->refresh(), $this->account->refresh(), $this->lead, [],
        )->points?->lines() ?? [];
    }
}
