<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\Titles;
use App\LookUps\Outlook;
use App\LookUps\Records;
use App\Models\Account;
use App\Models\Budget;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Outcome;
use App\Models\Place;
use App\Standings\Standings;
use App\View\LookUps\LookUpsPage;
use App\View\LookUps\Pays;
use App\View\LookUps\RunPage;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;
use Tests\TestCase;

/** What the screens of look-ups say: what it would take, how services did, how far a run is, where one pays. */
final class LookUpsViewTest extends TestCase
{
    private LookUpService $good;

    private LookUpService $cheap;

    protected function setUp(): void
    {
        parent::setUp();
        $this->offer->rules->update(['buyer_roles' => [
            ['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => [], 'weight' => 1],
        ]]);
        $this->offer->load('rules');
        $this->good = LookUpService::factory()->create(['name' => 'Good', 'price' => 3, 'position' => 0])->refresh();
        $this->cheap = LookUpService::factory()->create(['name' => 'Cheap', 'price' => 1, 'position' => 1])->refresh();
        Budget::query()->create(['credits' => 50]);
        $this->actingAs($this->rep);
    }

    public function test_what_is_to_be_expected_follows_the_record_by_country_and_size(): void
    {
        // 80 heads in Sweden: class 1 of 4; 3 of 4 found, of which 1 was dead; nothing else counts.
        $this->asked($this->good, 'SE', 1, [
            ['found', 'valid'], ['found', 'invalid'], ['found', null], ['nothing', null],
        ]);
        $this->asked($this->good, 'DE', 1, [['nothing', null], ['nothing', null]]);
        $this->asked($this->good, 'SE', 1, [['failed', null], ['asked', null]]);
        $records = new Records;
        self::assertEqualsWithDelta([3 / 6, 1 / 4, 1 / 2, 1 / 2], [
            $records->chance($this->good, 'SE', 1), $records->chance($this->good, 'DE', 1),
            $records->chance($this->good, 'SE', 2), $records->chance($this->cheap, 'SE', 1),
        ], 1e-12);
        self::assertSame(['asked' => 6, 'found' => 3, 'alive' => 2, 'spent' => 12.0], Records::of($this->good));
        $people = [$this->somebody('a', 'SE'), $this->somebody('b', 'SE')];
        $outlook = Outlook::of($people);
        // Each: 3 and 1 at most; ½ · 3 + ½ · ½ · 1 to be expected, found by 1 − ½ · ½.
        self::assertEqualsWithDelta([2, 8.0, 3.5, 1.5], [
            $outlook->people, $outlook->most, $outlook->cost, $outlook->found,
        ], 1e-12);
        // What was answered lately takes nothing.
        LookUp::factory()->create([
            'look_up_service_id' => $this->good->id, 'contact_id' => $people[0]->id, 'state' => LookUp::NOTHING,
        ]);
        $outlook = Outlook::of($people);
        self::assertEqualsWithDelta([5.0, .5 + 1.75], [$outlook->most, $outlook->cost], 1e-12);
        $this->cheap->update(['paused' => true]);
        self::assertEqualsWithDelta(3.0, Outlook::of($people)->most, 1e-12, 'a paused one is not asked');
    }

    public function test_before_it_begins_one_reads_how_many_how_much_and_who_not(): void
    {
        $one = $this->somebody('a', 'SE');
        $reached = $this->somebody('b', 'SE', AddressState::Valid);
        (new Standings)->all();
        $page = $this->get(route('look-ups.create', ['contacts' => [$one->id, $reached->id, 999_999]]));
        $page->assertSeeText('1 person would be asked for. It takes at most 4 credits')
            ->assertSeeText('Good, then Cheap; nobody checks what they find')
            ->assertSeeText('1 with a checked address already')->assertSeeText('1 no longer there')
            ->assertSee('value="4"', false);
        $this->get(route('look-ups.create', ['contacts' => [$reached->id]]))
            ->assertSeeText('There is nobody here to ask for.')->assertDontSee('Take at most so many credits');
        Budget::query()->update(['credits' => 2]);
        $this->get(route('look-ups.create', ['contacts' => [$one->id]]))->assertSee('value="2"', false);
        LookUpService::query()->update(['paused' => true]);
        $this->get(route('look-ups.create', ['contacts' => [$one->id]]))
            ->assertSeeText('No service is asked at present; a lead adds one under Look-ups.');
        foreach (['list' => 'x', 'least' => '200', 'most' => '0', 'contacts' => 'x'] as $field => $bad) {
            $this->post(route('look-ups.store'), [$field => $bad])->assertSessionHasErrors($field);
        }
        $this->post(route('look-ups.store'), ['contacts' => ['x']])->assertSessionHasErrors('contacts.0');
        self::assertSame(0, LookUpRun::query()->count());
    }

    public function test_a_run_says_how_far_it_is_and_what_came(): void
    {
        $run = LookUpRun::factory()->create([
            'offer_id' => $this->offer->id, 'user_id' => $this->rep->id, 'name' => 'Some of them', 'most' => 40,
            'state' => LookUpRun::RUNNING, 'accepts_doubtful' => true,
        ])->refresh();
        $outcomes = ['found', 'found', 'doubtful', 'nothing', 'waiting'];
        foreach ($outcomes as $i => $outcome) {
            $person = $this->somebody("p$i", 'SE');
            DB::table('looked_up')->insert([
                'look_up_run_id' => $run->id, 'contact_id' => $person->id, 'position' => $i, 'outcome' => $outcome,
            ]);
            LookUp::factory()->create([
                'look_up_service_id' => $this->good->id, 'look_up_run_id' => $run->id, 'contact_id' => $person->id,
                'state' => $outcome === 'nothing' ? LookUp::NOTHING : LookUp::FOUND, 'price' => 3,
                'value' => "p$i@x.example",
                'verdict' => $outcome === 'found' ? AddressState::Valid : null, 'user_id' => $this->rep->id,
            ]);
        }
        $page = RunPage::of($run);
        self::assertTrue($page->isMoving());
        self::assertEqualsWithDelta(.8, $page->progress(), 1e-12);
        self::assertSame(
            ['waiting' => '1', 'found' => '2', 'doubtful' => '1', 'nothing' => '1', 'credits' => '15'],
            array_column($page->tally(), 'number', 'field'),
        );
        $this->get(route('look-ups.run', $run))->assertSeeText('Under way, begun by Mira')
            ->assertSeeText('content with a doubtful address, for at most 40 credits')
            ->assertSeeTextInOrder(['Good', 'p0@x.example, checked', 'Good', 'p1@x.example, checked'])
            ->assertSee('every 1s', false)->assertSee(route('look-ups.stop', $run))
            ->assertDontSee(route('look-ups.resume', $run));
        $run->update(['state' => LookUpRun::FINISHED]);
        DB::table('looked_up')->where('outcome', 'waiting')->update(['outcome' => Outcome::Found->value]);
        $this->get(route('look-ups.run', $run))->assertSeeText('Done')->assertDontSee('every 1s', false)
            ->assertDontSee(route('look-ups.resume', $run));
        $rows = LookUpsPage::of($this->offer, $this->rep)->rows();
        self::assertSame([['done', '5', '3 and 1 doubtful', '15']], array_map(
            fn (array $row): array => [$row['state'], $row['people'], $row['found'], $row['took']], $rows,
        ));
        $this->get(route('look-ups'))->assertSeeText('35 of 50 credits left this month')
            ->assertSeeText('asked for 5, found 4, of which 4 held; took 15')->assertSeeText('not asked yet');
    }

    public function test_what_pays_is_of_the_best_ranked_by_gain_a_credit_within_the_budget(): void
    {
        $people = array_map(fn (int $i): Contact => $this->somebody("r$i", 'SE'), range(0, 3));
        foreach ($people as $i => $person) {
            $person->account->signals()->create([
                'kind' => 'hiring', 'title' => 'Planner sought', 'occurred_at' => now()->subDays(1 + 20 * $i),
                'strength' => 1, 'confidence' => 1, 'fingerprint' => sha1("s$i"),
            ]);
        }
        $waiting = $this->somebody('w', 'SE');
        $out = $this->somebody('o', 'SE');
        $out->account->industries()->update(['code' => '6201']);
        (new Standings)->all();
        $rows = Pays::of($this->offer, $this->rep)->rows();
        self::assertEqualsCanonicalizing(
            array_map(fn (Contact $one): int => $one->id, $people), array_column($rows, 'contact'),
            'whoever waits has no priority, and who is out none at all',
        );
        self::assertSame(['Cheap'], array_values(array_unique(array_column($rows, 'service'))));
        $gains = array_map(fn (array $row): float => (float) $row['gain'], $rows);
        $sorted = $gains;
        rsort($sorted);
        self::assertSame($sorted, $gains);
        self::assertStringStartsWith('4 look-ups for 4 credits would bring 4 more accounts', Pays::of(
            $this->offer, $this->rep,
        )->says());
        Budget::query()->update(['credits' => 2]);
        self::assertCount(2, Pays::of($this->offer, $this->rep)->rows());
        Budget::query()->update(['credits' => 0]);
        $this->get(route('look-ups'))->assertSeeText('Nothing may be spent at present');
        Budget::query()->update(['credits' => 50]);
        // Of somebody else's account it is not mine to say.
        $people[0]->account->update(['owner_id' => $this->lead->id]);
        self::assertCount(3, Pays::of($this->offer, $this->rep)->rows());
        self::assertNotContains($waiting->id, array_column($rows, 'contact'));
        $this->get(route('look-ups.pays'))->assertSeeText('3 look-ups for 3 credits');
        $this->get('/')->assertSee(route('look-ups.pays'));
        // Those whom a service was asked for lately are asked of the other one.
        LookUp::factory()->create([
            'look_up_service_id' => $this->cheap->id, 'contact_id' => $people[1]->id, 'state' => LookUp::NOTHING,
        ]);
        self::assertContains('Good', array_column(Pays::of($this->offer, $this->rep)->rows(), 'service'));
    }

    public function test_lists_and_contacts_lead_there(): void
    {
        $one = $this->somebody('a', 'SE');
        $reached = $this->somebody('b', 'SE', AddressState::Valid);
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'contacts', 'search' => '']);
        $list->addMember($one->id);
        $this->get(route('lists.show', $list))->assertSee(route('look-ups.create', ['list' => $list->id]));
        $firms = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'accounts', 'search' => '']);
        $this->get(route('lists.show', $firms))->assertDontSeeText('Look up');
        $this->get(route('contacts.show', $one))->assertSeeText('Look up an address');
        $this->get(route('contacts.show', $reached))->assertDontSeeText('Look up an address');
        Channel::query()->where('contact_id', $reached->id)->update([
            'source' => 'Good', 'checked_at' => '2026-11-20 09:00:00',
        ]);
        $this->get(route('contacts.show', $reached))->assertSeeText('checked 3 days ago')
            ->assertSeeText('found by Good');
    }

    private function somebody(string $name, string $country, ?AddressState $state = null): Contact
    {
        $account = Account::factory()->create(['name' => "Firm $name", 'domain' => "$name.example", 'headcount' => 80]);
        $account->industries()->create(['position' => 0, 'code' => '2310']);
        Place::factory()->create(['account_id' => $account->id, 'headquarters' => true, 'country' => $country]);
        $contact = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Ida', 'last_name' => ucfirst($name),
            'title' => 'Head of Maintenance',
            'reading' => (new Titles)->read('Head of Maintenance', $country, 80),
        ]);
        $state === null || Channel::query()->create([
            'contact_id' => $contact->id, 'type' => ChannelType::Email, 'value' => "$name@$name.example",
            'state' => $state,
        ]);

        return $contact->load('account.places', 'channels');
    }

    /** @param  list<array{string, string|null}>  $answers  state and verdict */
    private function asked(LookUpService $service, string $country, int $size, array $answers): void
    {
        foreach ($answers as [$state, $verdict]) {
            LookUp::factory()->create([
                'look_up_service_id' => $service->id, 'country' => $country, 'size' => $size, 'state' => $state,
                'verdict' => $verdict, 'price' => $state === 'found' ? 4 : 0,
            ]);
        }
    }
}
