<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\KeepOutType;
use App\Models\Position;
use App\Models\Reason;
use App\Models\Reservation;
use App\Models\Role;
use App\Reasons\RecordReason;
use App\Standings\Standings;
use App\View\Today\Plan;
use Tests\TestCase;

/** A reason in one press, a result in one, and both taken back. */
final class ResultUndoTest extends TestCase
{
    private Account $account;

    private Contact $pernille;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        $this->pernille = Contact::query()->sole();
        (new Standings)->all();
        $this->actingAs($this->rep);
    }

    public function test_the_words_that_stand_on_today_become_a_reason_by_one_press_and_go_by_another(): void
    {
        $row = (new Plan($this->offer->refresh(), $this->rep))->row($this->account->id);
        self::assertNotNull($row);
        $this->get('/')->assertSee('data-record', false)->assertSee(e($row->draft->words()), false);
        $press = fn (): mixed => $this->post(route('reasons.propose', $this->account), [
            'words' => $row->draft->words(), 'contact' => $row->contact?->id, 'angle' => $row->draft->angle,
        ]);
        $press()->assertRedirect(route('today', ['focus' => $this->account->id]))->assertSessionHasNoErrors();
        $reason = Reason::query()->sole();
        self::assertSame(
            [$row->draft->words(), $row->draft->angle, $row->draft->signals()],
            [$reason->words, $reason->evidence['angle'], array_column($reason->evidence['signals'], 'id')],
        );
        self::assertSame($row->contact?->id, Reservation::query()->sole()->contact_id);
        // Pressed twice it is one; it is used where it stands, and no other is proposed.
        $press()->assertSessionHasNoErrors();
        self::assertSame(1, Reason::query()->count());
        $this->get('/')->assertSeeText('reason ready')->assertSeeText('The reason is recorded')
            ->assertDontSee('data-record', false)->assertSee(route('approaches.store', $reason), false);
        $this->delete(route('reasons.destroy', $reason), ['next' => 'today'])
            ->assertRedirect(route('today', ['focus' => $this->account->id]));
        self::assertSame(0, Reason::query()->count());
        $this->get('/')->assertSee('data-record', false);
    }

    public function test_another_angle_is_recorded_with_what_it_rests_on(): void
    {
        $row = (new Plan($this->offer->refresh(), $this->rep))->row($this->account->id);
        $other = $row?->draft->others[0] ?? '';
        self::assertNotSame('', $other);
        $reason = RecordReason::proposed(
            $this->offer, $this->account, $row?->contact, $this->rep, 'Hello, may I ask?', 'message', $other,
        );
        self::assertSame($other, $reason?->evidence['angle']);
        self::assertNotSame($row?->draft->signals(), array_column($reason->evidence['signals'], 'id'));
    }

    public function test_what_a_colleague_has_or_rests_on_nothing_is_not_recorded(): void
    {
        $anton = $this->person('Anton', Role::Rep);
        Reservation::factory()->create([
            'contact_id' => $this->pernille->id, 'account_id' => $this->account->id, 'user_id' => $anton->id,
            'offer_id' => $this->offer->id, 'until' => today()->addDay(),
        ]);
        $words = ['words' => 'Hello, how do you find your leaks?', 'contact' => $this->pernille->id];
        $this->post(route('reasons.propose', $this->account), $words)->assertSessionHasErrors('kind');
        self::assertSame(0, Reason::query()->count());
        $this->post(route('reasons.propose', $this->account), ['words' => '{{open}} slot in it'] + $words)
            ->assertSessionHasErrors('words');
        $bare = Account::factory()->create();
        (new Standings)->all();
        $this->post(route('reasons.propose', $bare), ['words' => 'Hello, how do you find your leaks?'])
            ->assertRedirect(route('reasons.create', $bare))->assertSessionHasErrors('signals');
    }

    public function test_a_bounce_is_taken_back_with_what_it_corrected(): void
    {
        $valid = Channel::factory()->create(['contact_id' => $this->pernille->id, 'value' => 'p@tunhede.example']);
        $dead = Channel::factory()->create([
            'contact_id' => $this->pernille->id, 'value' => 'x@tunhede.example', 'state' => 'invalid',
        ]);
        $approach = $this->approach();
        $this->records($approach, 'bounced');
        self::assertSame(['invalid', 'invalid'], [$valid->refresh()->state->value, $dead->refresh()->state->value]);
        $this->delete(route('approaches.reopen', $approach))->assertSessionHasNoErrors();
        self::assertSame(['valid', 'invalid'], [$valid->refresh()->state->value, $dead->refresh()->state->value]);
        self::assertNull($approach->refresh()->result);
        self::assertNull($approach->corrected);
    }

    public function test_that_somebody_left_is_taken_back_and_another_result_takes_its_place(): void
    {
        Position::query()->where('contact_id', $this->pernille->id)->delete();
        $position = Position::factory()->create([
            'contact_id' => $this->pernille->id, 'account_id' => $this->account->id, 'until' => null,
        ]);
        $approach = $this->approach();
        $this->records($approach, 'left');
        self::assertNotNull($position->refresh()->until);
        self::assertSame(1, KeepOut::query()->count());
        // Not left, but silent: what the first said is put right.
        $this->records($approach, 'silent');
        self::assertNull($position->refresh()->until);
        self::assertSame([0, 'silent'], [KeepOut::query()->count(), $approach->refresh()->result?->value]);
    }

    public function test_a_stop_that_is_taken_back_leaves_the_entry_that_stood_there_before(): void
    {
        KeepOut::query()->create([
            'type' => KeepOutType::Contact, 'contact_id' => $this->pernille->id, 'value' => 'Pernille',
            'account_id' => $this->account->id, 'until' => '2027-01-01', 'user_id' => $this->lead->id,
            'reason' => 'on leave',
        ]);
        $approach = $this->approach();
        $this->records($approach, 'stop');
        self::assertSame([KeepOut::ASKED, null], KeepOut::query()->get(['reason', 'until'])->map(
            fn (KeepOut $one): array => [$one->reason, $one->until],
        )->sole());
        $this->delete(route('approaches.reopen', $approach));
        $entry = KeepOut::query()->sole();
        self::assertSame(['on leave', '2027-01-01'], [$entry->reason, $entry->until?->toDateString()]);
        $this->actingAs($this->person('Anton', Role::Rep))->delete(route('approaches.reopen', $approach))
            ->assertForbidden();
    }

    public function test_what_has_no_answer_yet_has_a_key_for_each_result(): void
    {
        $reason = Reason::factory()->create(['offer_id' => $this->offer->id, 'account_id' => $this->account->id]);
        $approach = $this->approach(['reason_id' => $reason->id]);
        $this->get(route('reasons.index', ['state' => 'open']))->assertSeeTextInOrder([
            'No answer yet', '1', 'interested', 'later, 23 December', 'stop',
        ])->assertSee('aria-keyshortcuts="3"', false);
        // To a colleague it is nothing, to who leads it is.
        $this->actingAs($this->person('Anton', Role::Rep))->get(route('reasons.index', ['state' => 'open']))
            ->assertSeeText('Every approach has its result.');
        $this->actingAs($this->lead)->get(route('reasons.index', ['state' => 'open']))->assertSeeText('interested');
        $this->actingAs($this->rep);
        $this->patch(route('approaches.update', $approach), ['result' => 'later', 'later_on' => '2026-12-23'])
            ->assertSessionHas('said', "The result is recorded: {$this->account->name}, later.");
        $this->get(route('reasons.index', ['state' => 'open']))->assertSeeText('Every approach has its result.');
    }

    /** @param  array<string, mixed>  $more */
    private function approach(array $more = []): Approach
    {
        return Approach::factory()->create($more + [
            'offer_id' => $this->offer->id, 'account_id' => $this->account->id, 'user_id' => $this->rep->id,
            'contact_id' => $this->pernille->id,
        ]);
    }

    private function records(Approach $approach, string $result): void
    {
        $this->patch(route('approaches.update', $approach), ['result' => $result])->assertSessionHasNoErrors();
        $approach->refresh();
    }
}
