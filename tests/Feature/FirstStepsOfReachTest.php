<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Channels\LocalTime;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\Result;
use App\Models\Signal;
use App\Standings\Standings;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;
use Tests\TestCase;

/** By which channel first: at the hour it is there, and of numbers those that are somebody's own. */
final class FirstStepsOfReachTest extends TestCase
{
    private const HEADER = "domain;first name;last name;title;email;phone;switchboard\n";

    protected function setUp(): void
    {
        parent::setUp();
        $this->tunhede();
        $this->actingAs($this->rep);
    }

    public function test_a_number_that_two_have_is_the_switchboard_until_somebody_knows_better(): void
    {
        $this->bring(IntakeKind::Contacts, self::HEADER
            ."tunhede.example;Bo;Lie;Planner;;+45 33 95 50 00;\n"
            ."tunhede.example;Ida;Moe;Planner;;+45 33 95 50 00;\n"
            ."tunhede.example;Jo;Vik;Planner;;+45 33 95 50 17;\n"
            ."tunhede.example;Kai;Ås;Planner;;+45 33 95 50 18;+45 33 95 50 17\n");
        self::assertSame(['Bo' => .1, 'Ida' => .1, 'Jo' => .1, 'Kai' => .5], $this->worths());
        $ida = Contact::query()->where('first_name', 'Ida')->sole();
        $number = $ida->channels->sole();
        $page = route('contacts.show', $ida);
        $this->get($page)->assertSeeText('direct phone that several here have, so the switchboard')
            ->assertSeeText('It is direct')->assertSeeText('First a call to the switchboard.');
        $this->patch(route('channels.update', [$ida, $number]), ['state' => 'valid']);
        self::assertSame(.5, $this->worths()['Ida'], 'what a person said of it stays');
        $this->get($page)->assertSeeText('First a call.')->assertDontSee('that several here have');
        // One of the two who had it is gone from there: then it was somebody's own.
        Contact::query()->where('first_name', 'Kai')->sole()->channels()->where('type', 'switchboard')->delete();
        $this->bring(IntakeKind::Contacts, self::HEADER."tunhede.example;Jo;Vik;Head of Maintenance;;;\n");
        self::assertSame(.5, $this->worths()['Jo']);
        (new Standings)->refresh();
        self::assertGreaterThan(.4, $this->standing('tunhede.example')->access);
    }

    public function test_the_hour_there_and_what_was_answered_before_say_what_comes_first(): void
    {
        $pernille = Contact::query()->sole();
        Channel::query()->create([
            'contact_id' => $pernille->id, 'type' => ChannelType::DirectPhone, 'value' => '+45 33 95 50 17',
            'state' => AddressState::Valid,
        ]);
        $page = route('contacts.show', $pernille);
        // 9:00 at Greenwich, ten in Denmark.
        $this->get($page)->assertSeeText('First an e-mail, then a call.')->assertSeeText('It is 10:00 in Hobro.');
        $this->made(ApproachKind::Call, Result::Meeting, 9);
        $this->made(ApproachKind::Email, Result::Silent, 20);
        $this->get($page)->assertSeeText('First a call, then an e-mail.');
        $this->get('/')->assertSeeText('First a call, then an e-mail.')->assertSeeText('direct phone');
        $this->at('2026-11-23T11:30:00Z');
        $this->get($page)->assertSeeText('First an e-mail, then a call from 13:00 there.')
            ->assertSeeText('It is 12:30 in Hobro.');
        $this->at('2026-11-27T16:30:00Z');
        $this->get($page)->assertSeeText('then a call on Monday from 8:00 there.');
    }

    public function test_a_comment_comes_first_while_their_post_is_fresh_and_what_was_done_is_not_done_again(): void
    {
        $pernille = Contact::query()->sole();
        Signal::factory()->create([
            'account_id' => $pernille->account_id, 'contact_id' => $pernille->id, 'kind' => 'post_engagement',
            'occurred_at' => '2026-11-22T09:00:00Z', 'strength' => 1, 'confidence' => 1, 'title' => 'On leaks',
        ]);
        (new Standings)->all();
        $page = route('contacts.show', $pernille);
        $this->get($page)->assertSeeText('First a comment under the post, then an e-mail.');
        Approach::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $pernille->account_id, 'contact_id' => $pernille->id,
            'user_id' => $this->rep->id, 'kind' => ApproachKind::Comment, 'made_at' => '2026-11-23T08:00:00Z',
        ]);
        $this->get($page)->assertSeeText('First an e-mail.')->assertDontSee('a comment under');
        $this->at('2026-12-02T09:00:00Z');
        (new Standings)->all();
        $this->get($page)->assertDontSee('a comment under', 'the post is old');
    }

    public function test_places_have_the_time_of_their_zone(): void
    {
        self::assertSame('Europe/Stockholm', LocalTime::zone('SE'));
        self::assertSame('Europe/Berlin', LocalTime::zone('DE'), 'of two that agree');
        self::assertSame('America/New_York', LocalTime::zone('US', 40.7, -74.0));
        self::assertSame('America/Los_Angeles', LocalTime::zone('US', 34.0, -118.2));
        self::assertNull(LocalTime::zone('US'));
        self::assertNull(LocalTime::zone('XX'));
        self::assertNull(LocalTime::zone(null));
    }

    private function made(ApproachKind $kind, Result $result, int $times): void
    {
        $other = Contact::factory()->create();
        Approach::factory()->count($times)->create([
            'offer_id' => $this->offer->id, 'account_id' => $other->account_id, 'contact_id' => $other->id,
            'user_id' => $this->lead->id, 'kind' => $kind, 'result' => $result, 'made_at' => '2026-09-01T09:00:00Z',
        ]);
    }

    /** @return array<string, float> first name → worth of the number */
    private function worths(): array
    {
        $names = Contact::query()->pluck('first_name', 'id');

        return Channel::query()->where('type', ChannelType::DirectPhone)->orderBy('id')->get()->mapWithKeys(
            fn (Channel $one): array => [(string) $names[$one->contact_id] => $one->asRule(now())->worth()],
        )->all();
    }
}
