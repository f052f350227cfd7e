<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Channels\ListBounces;
use App\Contacts\EraseContact;
use App\Contacts\Titles;
use App\Finder\Search;
use App\Jobs\RunLookUps;
use App\Lists\KeepResults;
use App\LookUps\CheckAgain;
use App\LookUps\Gains;
use App\LookUps\Services;
use App\LookUps\Wanted;
use App\Models\Account;
use App\Models\Budget;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Outcome;
use App\Models\Role;
use App\Models\Standing;
use App\Standings\Standings;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;
use Tests\TestCase;

/** Services that are asked for addresses, in the team's order, within a budget, and paid once (rule 23). */
final class LookUpsTest extends TestCase
{
    use HasOutside {
        setUp as setUpOutside;
    }

    private const SERVICES = [['Granvittne', 'find', 2], ['Mossregister', 'find', 3], ['Snarfynd', 'find', 1]];

    protected function setUp(): void
    {
        $this->setUpOutside();
        config(['luftig.look_up_seconds' => 1]);
        foreach ([...self::SERVICES, ['Ekoprov', 'check', 0]] as $i => [$name, $does, $price]) {
            LookUpService::factory()->create([
                'name' => $name, 'does' => $does, 'price' => $price, 'position' => $i,
                'address' => 'http://127.0.0.1:'.self::$port.'/'.strtolower($name),
            ]);
        }
        Budget::query()->create(['credits' => 1000]);
        $this->actingAs($this->rep);
    }

    public function test_a_list_is_looked_up_though_one_service_fails_one_is_slow_and_one_lies(): void
    {
        $list = $this->listOf(26);
        $this->faults(['granvittne' => '500', 'mossregister' => 'slow']);
        $this->get(route('look-ups.create', ['list' => $list->id]))
            ->assertSeeText('26 people would be asked for. It takes at most 156 credits')
            ->assertSeeText('Granvittne, then Mossregister, then Snarfynd; what they find Ekoprov checks');
        $this->post(route('look-ups.store'), ['list' => $list->id])->assertSessionHasNoErrors();
        $run = LookUpRun::query()->sole();
        self::assertSame(LookUpRun::FINISHED, $run->state);
        self::assertStringContainsString('Granvittne, Mossregister did not answer 3 times in a row', $run->problem);
        $this->ledgerIsWhatWasCharged('granvittne', 'snarfynd');
        // Whose answer came too late may have taken its credits: they are set aside, at least as many.
        $slow = LookUp::query()->whereRelation('service', 'name', 'Mossregister')->where('price', 3)->pluck('mark')
            ->all();
        self::assertCount(3, $slow);
        self::assertSame([], array_diff(array_keys($this->charges('mossregister')), $slow));
        $lies = LookUp::query()->where('verdict', AddressState::Invalid)->pluck('value')->all();
        self::assertNotSame([], $lies, 'the third service lies');
        self::assertSame([], array_intersect($lies, Channel::query()->pluck('value')->all()), 'no lie is kept');
        self::assertSame(
            3, LookUp::query()->where('state', LookUp::FAILED)->whereRelation('service', 'name', 'Granvittne')->count(),
        );
        $found = $run->people()->where('outcome', Outcome::Found->value)->count();
        self::assertGreaterThan(6, $found);
        $failed = $run->people()->where('outcome', Outcome::Failed->value)->count();
        self::assertGreaterThan(2, $failed);

        $this->faults([]);
        $paid = count($this->charges('snarfynd'));
        $this->post(route('look-ups.resume', $run))->assertSessionHasNoErrors();
        $run->refresh();
        self::assertSame([LookUpRun::FINISHED, null], [$run->state, $run->problem]);
        self::assertGreaterThan($found, $run->people()->where('outcome', Outcome::Found->value)->count());
        self::assertCount($paid, $this->charges('snarfynd'), 'what was answered is asked no second time');
        $this->ledgerIsWhatWasCharged();
        [$bounces] = ListBounces::of($list);
        self::assertGreaterThan(15, $bounces->sent);
        // Each checked one comes back by two in a hundred.
        self::assertLessThan(.05, $bounces->rate());
        $this->get(route('look-ups.ledger'))->assertSeeText(', checked')->assertSeeText('Granvittne');
        $this->get(route('look-ups'))->assertSeeText('Snarfynd')->assertSeeText('held; took');
    }

    public function test_whoever_is_interrupted_in_the_middle_pays_nothing_twice(): void
    {
        $list = $this->listOf(12);
        $run = $this->begun($list);
        $service = LookUpService::query()->where('name', 'Granvittne')->sole();
        $people = Contact::query()->orderBy('id')->get();
        // At the worst moment: the service was asked and took its credits, and nobody wrote down what it said.
        foreach ($people->take(4) as $contact) {
            $line = LookUp::factory()->create([
                'look_up_service_id' => $service->id, 'contact_id' => $contact->id, 'look_up_run_id' => $run->id,
                'user_id' => $this->rep->id, 'price' => 2,
            ]);
            Services::of($service)->find($contact->load('account'), $line->mark);
        }
        $charged = count($this->charges('granvittne'));
        self::assertGreaterThan(0, $charged);
        $run->update(['state' => LookUpRun::RUNNING, 'worker' => 'one that died']);
        $this->at('2026-11-23T09:00:50Z');
        RunLookUps::resume();
        self::assertSame(LookUpRun::RUNNING, $run->refresh()->state, 'it may be at work still');
        $this->at('2026-11-23T09:01:10Z');
        RunLookUps::resume();
        self::assertSame(LookUpRun::FINISHED, $run->refresh()->state);
        self::assertSame(0, LookUp::query()->where('state', LookUp::ASKED)->count());
        self::assertSame(12, LookUp::query()->where('look_up_service_id', $service->id)->count());
        $this->ledgerIsWhatWasCharged();
        // The same people in another run cost nothing more.
        $took = LookUp::query()->sum('price');
        Channel::query()->delete();
        $second = $this->begun($list);
        RunLookUps::dispatch($second->id);
        self::assertSame($took, LookUp::query()->sum('price'));
        self::assertGreaterThan(0, $second->people()->where('outcome', Outcome::Found->value)->count());
        self::assertGreaterThan(0, Channel::query()->count(), 'what was answered is kept again');
        $this->at('2027-05-25T09:00:00Z');
        Channel::query()->delete();
        RunLookUps::dispatch($this->begun($list)->id);
        self::assertSame(24, LookUp::query()->where('look_up_service_id', $service->id)->count(), 'after half a year');
    }

    public function test_it_stops_where_the_budget_ends_and_goes_on_when_it_is_raised(): void
    {
        $list = $this->listOf(20);
        Budget::query()->update(['credits' => 9]);
        $run = $this->begun($list);
        RunLookUps::dispatch($run->id);
        $run->refresh();
        self::assertSame(LookUpRun::STOPPED, $run->state);
        self::assertStringContainsString('more than may be spent', $run->problem);
        self::assertLessThanOrEqual(9, LookUp::query()->sum('price'));
        $this->ledgerIsWhatWasCharged();
        Budget::query()->update(['credits' => 1000]);
        Budget::query()->create(['user_id' => $this->rep->id, 'credits' => 12]);
        $this->post(route('look-ups.resume', $run))->assertSessionHasNoErrors();
        self::assertSame(LookUpRun::STOPPED, $run->refresh()->state, 'the rep’s own is spent');
        self::assertLessThanOrEqual(12, LookUp::query()->sum('price'));
        $this->at('2026-12-01T09:00:00Z');
        Budget::query()->where('user_id', $this->rep->id)->update(['credits' => 500]);
        $this->post(route('look-ups.resume', $run));
        self::assertSame(LookUpRun::FINISHED, $run->refresh()->state);
        Budget::query()->delete();
        $this->post(route('look-ups.store'), ['list' => $list->id])
            ->assertSessionHasErrors(['contacts' => 'Nothing is left to spend this month; a lead sets the budget under '
                .'Look-ups.']);
    }

    public function test_who_is_kept_out_or_reached_or_takes_no_part_is_not_asked_for(): void
    {
        $list = $this->listOf(5);
        [$reached, $merged, $kept, $former] = Contact::query()->orderBy('id')->get()->all();
        $this->channel($reached, 'a@firm0.example', AddressState::Valid);
        $merged->update(['merged_into' => $reached->id]);
        $this->post(route('keep-out.store'), ['type' => 'contact', 'contact' => $kept->id, 'reason' => 'asked']);
        Account::query()->whereKey($kept->account_id)->update(['domain' => null]);
        $former->update(['title' => 'Former Plant Manager', 'reading' => (new Titles)
            ->read('Former Plant Manager', 'SE', 100)]);
        $wanted = Wanted::of($this->offer, $list->members()->pluck('record_id')->all());
        self::assertCount(1, $wanted->contacts);
        self::assertEqualsCanonicalizing([
            'with a checked address already', 'the same as somebody else', 'of a company without a domain',
            'in no part of buying',
        ], array_keys($wanted->others));
        (new Standings)->all();
        self::assertCount(0, Wanted::of($this->offer, $list->members()->pluck('record_id')->all(), 99.0)->contacts);
        $this->get(route('look-ups.create', ['list' => $list->id]))->assertSeeText('1 with a checked address already');
    }

    public function test_where_a_look_up_pays_is_whom_one_would_contact_first(): void
    {
        $this->offer->rules->update(['buyer_roles' => [
            ['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => [], 'weight' => 1],
        ]]);
        $this->tunhede();
        $pernille = Contact::query()->sole();
        Channel::query()->delete();
        (new Standings)->all();
        $before = Standing::query()->sole()->priority;
        $gains = Gains::for($this->offer->load('rules'), $this->rep, 100);
        self::assertCount(1, $gains->proposed);
        [$one] = $gains->proposed;
        self::assertSame($pernille->id, $one['contact']->id);
        self::assertSame('Snarfynd', $one['service']->name, 'nobody was asked yet, so the cheapest is most a credit');
        // Of nobody asked and nobody found: (0 + 1) ÷ (0 + 2); and it would stand first, so all of the day's share.
        self::assertEqualsWithDelta(.5 * ($one['line']->with - $before), $gains->gain, 1e-9);
        self::assertSame(1, $gains->more, 'nobody is reached there now');
        $this->channel($pernille, 'pernille@tunhede.example', AddressState::Valid);
        (new Standings)->all();
        self::assertEqualsWithDelta($one['line']->with, Standing::query()->sole()->priority, 1e-9);
        self::assertSame([], Gains::for($this->offer, $this->rep, 100)->proposed);
        $this->get(route('look-ups.pays'))->assertOk()->assertDontSeeText('look-up for');
    }

    public function test_what_was_checked_long_ago_is_checked_again(): void
    {
        $list = $this->listOf(3);
        [$still, $gone, $young] = Contact::query()->orderBy('id')->get()->all();
        $this->channel($still, 'ida0.moe0@firm0.example', AddressState::Valid, '2026-08-01');
        $this->channel($gone, 'gone@firm1.example', AddressState::Valid, '2026-08-01');
        $this->channel($young, 'gone@firm2.example', AddressState::Valid, '2026-11-01');
        self::assertSame(2, CheckAgain::due());
        self::assertSame(['valid', 'invalid', 'valid'], Channel::query()->orderBy('contact_id')->pluck('state')
            ->map(fn (AddressState $one): string => $one->value)->all());
        self::assertSame(0, CheckAgain::due());
        self::assertSame(3, $list->members()->count());
    }

    public function test_a_lead_sets_services_and_budgets_and_a_rep_does_not(): void
    {
        $own = ['name' => 'Own', 'does' => 'find', 'address' => 'http://127.0.0.1:'.self::$port.'/snarfynd',
            'price' => '1.5', 'position' => '7', 'secret' => 'hush'];
        $this->post(route('services.store'), $own)->assertForbidden();
        $this->put(route('look-ups.budget'), ['credits' => ['team' => '5']])->assertForbidden();
        $this->actingAs($this->lead);
        $this->post(route('services.store'), ['address' => 'http://10.0.0.1/x'] + $own)
            ->assertSessionHasErrors(['address' => '10.0.0.1 is an address of a private network, which is not asked.']);
        $this->post(route('services.store'), $own)->assertSessionHasNoErrors();
        $service = LookUpService::query()->where('name', 'Own')->sole();
        self::assertSame('hush', $service->secret);
        $this->get(route('services.edit', $service))->assertDontSee('hush')->assertSeeText('One is kept');
        $this->put(route('services.update', $service), ['price' => '2', 'secret' => ''] + $own)
            ->assertSessionHasNoErrors();
        self::assertSame(['hush', 2.0], [$service->refresh()->secret, $service->price]);
        $this->patch(route('services.pause', $service));
        self::assertTrue($service->refresh()->paused);
        $this->put(route('look-ups.budget'), ['credits' => ['team' => '50', $this->rep->id => '20', '999999' => '3']])
            ->assertSessionHasNoErrors();
        self::assertSame([null, $this->rep->id], Budget::query()->orderBy('id')->pluck('user_id')->all());
        $this->put(route('look-ups.budget'), ['credits' => ['team' => '50', $this->rep->id => '']]);
        self::assertSame([50.0], Budget::query()->pluck('credits')->all());
        $this->put(route('look-ups.budget'), ['credits' => ['team' => 'much']])->assertSessionHasErrors();
    }

    public function test_a_run_is_stopped_by_whoever_began_it_and_erasure_leaves_the_ledger_without_the_person(): void
    {
        $run = $this->begun($this->listOf(2));
        $this->actingAs($this->person('Anton', Role::Rep))->post(route('look-ups.stop', $run))
            ->assertForbidden();
        $this->actingAs($this->rep)->post(route('look-ups.stop', $run))->assertSessionHasNoErrors();
        RunLookUps::dispatch($run->id);
        self::assertSame([LookUpRun::STOPPED, 0], [$run->refresh()->state, LookUp::query()->count()]);
        $this->get(route('look-ups.run', $run))->assertSeeText('Stopped')->assertSee(route('look-ups.resume', $run));
        $this->post(route('look-ups.resume', $run));
        $took = LookUp::query()->sum('price');
        self::assertGreaterThan(0, LookUp::query()->whereNotNull('value')->count());
        foreach (Contact::query()->get() as $contact) {
            EraseContact::erase($contact, $this->lead);
        }
        self::assertSame([0, $took], [
            LookUp::query()->whereNotNull('value')->count(), LookUp::query()->sum('price'),
        ]);
        $this->get(route('look-ups.ledger'))->assertSeeText('somebody erased');
    }

    /** A list of so many people without an address, each of a firm of their own, whom services may know. */
    private function listOf(int $many): KeptList
    {
        $addresses = [];
        for ($i = 0; $i < $many; $i++) {
            $account = Account::factory()->create(['domain' => "firm$i.example", 'headcount' => 100]);
            Contact::factory()->create([
                'account_id' => $account->id, 'first_name' => "Ida$i", 'last_name' => "Moe$i",
                'title' => 'Plant Manager', 'reading' => (new Titles)->read('Plant Manager', 'SE', 100),
            ]);
            $addresses[] = [
                'first' => "Ida$i", 'last' => "Moe$i", 'domain' => "firm$i.example",
                'email' => "ida$i.moe$i@firm$i.example",
            ];
        }
        $this->world('addresses', $addresses);
        (new Standings)->all();

        return KeepResults::asList($this->offer, Search::from($this->offer, ['on' => 'contacts']), 'All', $this->rep);
    }

    private function begun(KeptList $list): LookUpRun
    {
        $run = LookUpRun::factory()->create([
            'offer_id' => $this->offer->id, 'user_id' => $this->rep->id, 'list_id' => $list->id,
        ]);
        foreach ($list->members()->get() as $i => $member) {
            $run->people()->insert([
                'look_up_run_id' => $run->id, 'contact_id' => $member->record_id, 'position' => $i,
            ]);
        }

        return $run->refresh();
    }

    private function channel(Contact $contact, string $value, AddressState $state, ?string $checked = null): void
    {
        Channel::query()->create([
            'contact_id' => $contact->id, 'type' => ChannelType::Email, 'value' => $value, 'state' => $state,
            'checked_at' => $checked,
        ]);
    }

    /** @param  array<string, string>  $faults */
    private function faults(array $faults): void
    {
        file_put_contents(self::$folder.'/faults.json', json_encode((object) $faults));
    }

    /** @return array<string, float> */
    private function charges(string $service): array
    {
        $charges = [];
        foreach (@file(self::$folder."/charges-$service.jsonl", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            [$mark, $price] = (array) json_decode($line, true);
            $charges[$mark] = (float) $price;
        }

        return $charges;
    }

    private function ledgerIsWhatWasCharged(string ...$services): void
    {
        foreach (self::SERVICES as [$name, , $price]) {
            if ($services !== [] && ! in_array(strtolower($name), $services, true)) {
                continue;
            }
            $charged = $this->charges(strtolower($name));
            self::assertEqualsCanonicalizing(
                array_keys($charged),
                LookUp::query()->whereRelation('service', 'name', $name)->where('price', '>', 0)->pluck('mark')->all(),
                $name,
            );
            self::assertEqualsWithDelta(
                $price * count($charged),
                (float) LookUp::query()->whereRelation('service', 'name', $name)->sum('price'),
                1e-9,
                $name,
            );
        }
    }
}
