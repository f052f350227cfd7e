<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\Reason;
use App\Models\Result;
use App\Models\Signal;
use App\Models\Technology;
use App\Reasons\RecordResult;
use App\Reasons\UndatedFacts;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Standings\Standings;
use App\View\Reasons\NewReasonPage;
use App\View\Reasons\ReasonPage;
use App\View\Reasons\ReasonsPage;
use App\View\Tab;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What the book of reasons, a reason and its form say. */
final class ReasonViewTest extends TestCase
{
    public function test_the_book_has_those_ready_used_and_expired(): void
    {
        $this->reason(['words' => 'Ready one']);
        $this->reason(['words' => 'Ready another', 'expires_on' => '2026-11-24']);
        $used = $this->reason(['words' => 'Used', 'expires_on' => '2026-11-01']);
        $this->reason(['words' => 'Expired', 'expires_on' => '2026-11-23']);
        Approach::factory()->create([
            'reason_id' => $used->id, 'account_id' => $used->account_id, 'offer_id' => $this->offer->id,
            'made_at' => now()->subDays(3), 'kind' => 'call', 'result' => 'later',
        ]);
        $page = fn (string $state, string $search = ''): ReasonsPage => ReasonsPage::of($this->offer, $state, $search);
        self::assertSame(
            [['Ready', '2', true], ['Used', '1', false], ['No answer yet', '0', false], ['Expired', '1', false]],
            array_map(fn (Tab $tab): array => [$tab->label, $tab->count, $tab->current], $page('ready')->tabs()),
        );
        self::assertSame('ready', $page('nonsense')->state);
        self::assertSame(
            [['Ready another', 'good until 23 November', null], ['Ready one', 'good until 29 November', null]],
            self::told($page('ready')),
        );
        self::assertSame([['Used', 'call, 3 days ago', 'later']], self::told($page('used')));
        self::assertSame([['Expired', 'expired 9 hours ago', null]], self::told($page('expired')));
    }

    public function test_reasons_are_found_by_their_words_and_their_account(): void
    {
        $glas = Account::factory()->create(['name' => 'Glasverk']);
        $this->reason(['account_id' => $glas->id, 'words' => 'You seek 100% more planners']);
        $this->reason(['words' => 'A new line']);
        $this->reason(['words' => 'Elsewhere', 'offer_id' => \App\Models\Offer::factory()->create()->id]);
        $found = fn (string $search): array => array_column(
            self::told(ReasonsPage::of($this->offer, 'ready', $search)),
            0,
        );
        self::assertSame(['You seek 100% more planners'], $found('glas'));
        self::assertSame(['A new line'], $found('new line'));
        self::assertSame(['You seek 100% more planners'], $found('0%'));
        self::assertSame([], $found('_ine'), 'a mark of the database means itself');
        self::assertCount(2, $found(''), 'those of this offer');
        self::assertStringContainsString('q=glas', ReasonsPage::of($this->offer, 'ready', 'glas')->tabs()[1]->url);
    }

    public function test_long_words_are_cut_and_what_was_used_without_a_result_says_so(): void
    {
        $reason = $this->reason(['words' => str_repeat('leak ', 60)]);
        Approach::factory()->create([
            'reason_id' => $reason->id, 'account_id' => $reason->account_id, 'offer_id' => $this->offer->id,
        ]);
        $row = ReasonsPage::of($this->offer, 'used', '')->rows()[0];
        self::assertSame([170, '…'], [mb_strlen($row['words']), mb_substr($row['words'], -1)]);
        self::assertSame(['no result yet', 'e-mail, within the hour'], [$row['result'], $row['when']]);
    }

    public function test_a_reason_shows_its_evidence_as_it_was(): void
    {
        $account = $this->tunhede();
        $contact = $account->contacts()->firstOrFail();
        $this->actingAs($this->rep)->post(route('reasons.store', $account), [
            'signals' => [(string) $account->signals()->where('title', 'Planners sought')->value('id')],
            'facts' => ['says “three shifts” of itself'], 'contact' => $contact->id, 'channel' => 'email',
            'words' => 'Hello Pernille, you seek planners.',
        ])->assertSessionHasNoErrors();
        $reason = Reason::query()->sole();
        $account->update(['name' => 'Renamed']);
        $account->signals()->delete();
        $this->at('2026-11-25T09:00:00Z');
        $page = ReasonPage::of($reason->refresh()->load('approaches.user'));

        self::assertSame('Glasverk Tunhede', $page->account());
        self::assertSame('Pernille Askov-Rye, Head of Maintenance · by e-mail · Mira, 2 days ago', $page->about());
        self::assertSame([[
            'title' => 'Planners sought', 'link' => null, 'quote' => null,
            'about' => 'hiring · 20 November 2026 · freshness 1.00, fresh until 10 January',
        ]], $page->signals());
        self::assertSame(['Says “three shifts” of itself'], $page->facts());
        self::assertMatchesRegularExpression(
            '/^23 November 2026: priority \d\d, Fit 1\.00, Access \.59$/',
            $page->frozen(),
        );
        self::assertSame(
            [true, false, false, 'Good until Sunday 10 January.', route('reasons.index', ['state' => 'ready'])],
            [$page->isReady(), $page->isUsed(), $page->isExpired(), $page->until(), $page->back()],
        );
        self::assertNotNull($page->ways);

        $this->at('2027-01-11T09:00:00Z');
        $late = ReasonPage::of($reason->refresh()->load('approaches.user'));
        self::assertSame(
            [false, true, 'Expired on 11 January', route('reasons.index', ['state' => 'expired'])],
            [$late->isReady(), $late->isExpired(), $late->expired(), $late->back()],
        );
        KeepOut::factory()->create(['type' => 'contact', 'contact_id' => $contact->id, 'value' => 'Pernille']);
        self::assertNull(ReasonPage::of($reason->refresh())->ways, 'nobody writes to whom is kept out');
    }

    public function test_a_reason_is_no_longer_good_once_what_it_rests_on_is_struck_out_and_good_again_with_it(): void
    {
        $tunhede = $this->tunhede();
        [$planners, $round] = Signal::query()->whereIn('title', ['Planners sought', 'Round B'])->orderByDesc('title')
            ->get()->reverse()->values()->all();
        $on = fn (Signal ...$signals): Reason => Reason::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $tunhede->id, 'expires_on' => today()->addDays(9),
            'evidence' => [
                'account' => ['name' => 'Glasverk Tunhede'], 'contact' => null, 'facts' => [],
                'signals' => array_map(fn (Signal $one): array => [
                    'id' => $one->id, 'title' => $one->title, 'kind' => $one->kind->value, 'quote' => null,
                    'link' => null,
                    'occurred_at' => $one->occurred_at->toIso8601ZuluString(), 'freshness' => 1, 'push' => .5,
                    'fresh_until' => '2027-01-11', 'source' => null,
                ], $signals),
                'standing' => ['priority' => null, 'fit' => .8, 'access' => 0],
            ],
        ]);
        [$one, $both, $other] = [$on($planners), $on($round, $planners), $on($round)];
        $in = fn (string $state): array => Reason::query()->inState($state)->orderBy('id')->pluck('id')->all();
        self::assertSame([$one->id, $both->id, $other->id], $in('ready'));

        $this->actingAs($this->rep)->delete(route('signals.destroy', $planners), ['reason' => 'It is about others.'])
            ->assertSessionHasNoErrors();
        self::assertSame([[$other->id], [$one->id, $both->id]], [$in('ready'), $in('expired')]);
        $page = ReasonPage::of($both->fresh() ?? $both);
        self::assertSame(
            [false, true, 'No longer good', 'what it rests on was struck out since.'],
            [$page->isReady(), $page->isExpired(), $page->expired(), $page->why()],
        );
        $this->get(route('reasons.index', ['state' => 'expired']))->assertSeeText('rests on what was struck out');
        $this->get(route('reasons.show', $one))->assertDontSeeText('Record the approach')
            ->assertSeeText('No longer good: what it rests on was struck out since.');

        $this->post(route('signals.restore', $planners->id))->assertSessionHasNoErrors();
        self::assertSame([[$one->id, $both->id, $other->id], []], [$in('ready'), $in('expired')]);
    }

    public function test_what_came_of_a_reason_is_told_approach_by_approach(): void
    {
        $reason = $this->reason(['evidence' => [
            'account' => ['name' => 'Glasverk'], 'contact' => null, 'signals' => [], 'facts' => [],
            'standing' => ['priority' => null, 'fit' => .8, 'access' => 0],
        ]]);
        $approach = fn (array $more): Approach => Approach::factory()->create($more + [
            'reason_id' => $reason->id, 'account_id' => $reason->account_id, 'offer_id' => $this->offer->id,
            'user_id' => $this->rep->id,
        ]);
        $approach(['made_at' => now()->subDays(9), 'result' => 'wrong_person', 'instead' => 'Olav Berg']);
        $approach(['made_at' => now()->subDays(5), 'kind' => 'call', 'result' => 'later', 'later_on' => '2026-12-24',
            'user_id' => null]);
        $approach(['made_at' => now(), 'next_step' => 'Call again', 'next_step_on' => '2026-12-01']);
        $page = ReasonPage::of($reason->refresh()->load('approaches.user'));
        self::assertSame([
            ['E-mail, within the hour, Mira', 'Call again, Tuesday 1 December', null, ''],
            ['Call, 5 days ago, somebody', null, 'later', ', 24 December'],
            ['E-mail, 9 days ago, Mira', null, 'wrong person', ', rather Olav Berg'],
        ], array_map(
            fn (array $one): array => [$one['title'], $one['next'], $one['result'], $one['after']],
            $page->approaches(),
        ));
        self::assertTrue($page->isUsed());
        self::assertFalse($page->isExpired());
        self::assertSame('nobody in particular · Mira, within the hour', $page->about());
        self::assertSame('23 November 2026: Fit .80, Access .00', $page->frozen());
    }

    public function test_the_form_offers_what_is_fresh_and_may_be_said(): void
    {
        $account = $this->tunhede();
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;strength\n"
            ."tunhede.example;own_engagement;2026-11-22;Looked at our page;.4\n"
            ."tunhede.example;news;2026-10-20;In the paper;1\n");
        (new Standings)->refresh();
        $page = $this->form($account->refresh());
        $of = array_column(array_map(fn (array $one): array => [
            $one['line']->signal->title, [$one['may'], $one['ticked'], $one['note']],
        ], $page->signals()), 1, 0);
        self::assertSame([true, true, ''], $of['Round B']);
        self::assertSame([true, false, ''], $of['Engineer sought'], 'of a kind the first');
        self::assertSame([false, false, '· they would not expect us to know'], $of['Looked at our page']);
        self::assertSame([false, false, '· no longer fresh'], $of['In the paper']);
        self::assertFalse($page->isEmpty());
        self::assertFalse($page->isTicked('says “three shifts” of itself'), 'there are signals to rest on');
    }

    public function test_without_signals_the_form_rests_on_the_first_fact(): void
    {
        $account = Account::factory()->create(['keywords' => 'three shifts; container glass', 'sites' => 3]);
        $account->technologies()->attach(Technology::query()->create(['name' => 'Tryklog']));
        self::assertSame(
            ['runs Tryklog', 'says “three shifts” of itself', 'says “container glass” of itself', 'has 3 sites'],
            UndatedFacts::of($account),
        );
        $page = new NewReasonPage(
            $this->offer, $account, [], collect(), null, UndatedFacts::of($account), EntriesInForce::now(),
        );
        self::assertSame([true, false], [
            $page->isTicked('runs Tryklog'), $page->isTicked('says “three shifts” of itself'),
        ]);
        $bare = Account::factory()->create(['sites' => 1]);
        self::assertSame([], UndatedFacts::of($bare));
        self::assertTrue((new NewReasonPage(
            $this->offer, $bare, [], collect(), null, [], EntriesInForce::now(),
        ))->isEmpty());
    }

    public function test_the_form_says_who_can_be_addressed_how_and_at_what_length(): void
    {
        $page = $this->form($this->tunhede());
        $contact = Contact::query()->sole();
        self::assertSame([
            '' => 'nobody in particular',
            $contact->id => 'Pernille Askov-Rye, Head of Maintenance (e-mail, checked)',
        ], $page->people());
        self::assertSame([$contact->id => 'Pernille'], $page->firstNames());
        self::assertSame([
            'comment' => [280, 'characters'], 'connect' => [280, 'characters'], 'message' => [600, 'characters'],
            'email' => [120, 'words'], 'letter' => [200, 'words'],
        ], $page->limits());
        self::assertSame(['' => 'not decided', 'comment' => 'comment'], array_slice($page->kinds(), 0, 2));
        self::assertCount(1 + count(ApproachKind::cases()), $page->kinds());
    }

    /** @return array<string, array{Result, string|null, string|null, string|null}> */
    public static function corrections(): array
    {
        return [
            'interested' => [Result::Interested, null, 'valid', null],
            'bounced' => [Result::Bounced, null, 'invalid', null],
            'left' => [Result::Left, '2026-11-23', 'valid', 'left the position'],
            'stop' => [Result::Stop, null, 'valid', KeepOut::ASKED],
            'silent' => [Result::Silent, null, 'valid', null],
        ];
    }

    #[DataProvider('corrections')]
    public function test_a_result_corrects_what_is_known_and_nothing_else(
        Result $result,
        ?string $until,
        ?string $state,
        ?string $keptOut,
    ): void {
        $contact = Contact::factory()->create();
        Channel::factory()->create(['contact_id' => $contact->id]);
        $shared = Channel::factory()->create(['contact_id' => $contact->id, 'state' => 'shared']);
        $position = $contact->positions()->create(['account_id' => $contact->account_id, 'title' => 'Planner']);
        $approach = Approach::factory()->create([
            'account_id' => $contact->account_id, 'contact_id' => $contact->id, 'offer_id' => $this->offer->id,
        ]);
        RecordResult::record($approach, $result, $this->rep);
        self::assertSame($until, $position->refresh()->until?->toDateString());
        self::assertSame($state, $contact->channels()->where('state', '<>', 'shared')->value('state')?->value);
        self::assertSame('shared', $shared->refresh()->state->value, 'a shared mailbox is nobody’s');
        self::assertSame($keptOut, KeepOut::query()->where('contact_id', $contact->id)->value('reason'));
        self::assertTrue(Account::query()->findOrFail($contact->account_id)->stale);
    }

    public function test_a_day_to_come_back_and_another_person_stand_only_where_they_mean_something(): void
    {
        $approach = Approach::factory()->create(['offer_id' => $this->offer->id]);
        $record = function (Result $result) use ($approach): array {
            RecordResult::record($approach, $result, $this->rep, now()->addWeek()->toImmutable(), 'Olav Berg');

            return [$approach->refresh()->later_on?->toDateString(), $approach->instead];
        };
        self::assertSame(['2026-11-30', null], $record(Result::Later));
        self::assertSame([null, 'Olav Berg'], $record(Result::WrongPerson));
        self::assertSame([null, null], $record(Result::No));
    }

    /** @param  array<string, mixed>  $columns */
    private function reason(array $columns): Reason
    {
        return Reason::factory()->create($columns + ['offer_id' => $this->offer->id, 'user_id' => $this->rep->id]);
    }

    private function form(Account $account): NewReasonPage
    {
        $standing = $this->standing($account)->load('ruleSet');
        $lines = SignalLine::of(
            $standing, Signal::query()->with('contact')->get(), RuleBook::catalogueOf($standing->ruleSet),
        );

        return new NewReasonPage(
            $this->offer, $account, $lines, Contact::query()->with('channels')->get(), null, UndatedFacts::of($account),
            EntriesInForce::now(),
        );
    }

    /** @return list<array{string, string, string|null}> */
    private static function told(ReasonsPage $page): array
    {
        return array_map(fn (array $row): array => [$row['words'], $row['when'], $row['result']], $page->rows());
    }
}
