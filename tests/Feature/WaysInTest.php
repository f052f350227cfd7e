<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\EraseContact;
use App\Models\Account;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\Position;
use App\Models\Relation;
use App\Models\Role;
use App\Models\Standing;
use App\Models\User;
use App\Network\Asking;
use App\Network\Intros;
use App\Network\Paths;
use App\Standings\Standings;
use App\View\Network\Way;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Ways in through people: found, counted, asked for, and answered without signing in (rule 10). */
final class WaysInTest extends TestCase
{
    private Account $account;

    private Contact $pernille;

    private Contact $olav;

    private User $greta;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        $this->pernille = Contact::query()->sole();
        Channel::query()->delete();
        Position::query()->delete();
        $this->olav = Contact::factory()->create([
            'account_id' => $this->account->id, 'first_name' => 'Olav', 'last_name' => 'Brekke',
        ]);
        foreach ([$this->pernille, $this->olav] as $one) {
            Position::factory()->create([
                'contact_id' => $one->id, 'account_id' => $this->account->id, 'since' => '2023-11-23', 'until' => null,
            ]);
        }
        $this->greta = User::factory()->create(['name' => 'Greta Nystierna', 'signs_in' => false, 'role' => Role::Rep]);
        $this->knows($this->greta, $this->olav);
        $this->actingAs($this->rep);
    }

    public function test_the_strongest_way_counts_in_access_and_moves_the_ranking(): void
    {
        (new Standings)->all();
        $before = Standing::query()->whereNotNull('priority')->sole();
        self::assertSame(0.0, $before->access);
        self::assertSame(2, Intros::refresh());
        // Greta knows Olav by .3; he worked with Pernille for 36 months at a house of 420:
        // .7 · (1 − 2^−2) ÷ (1 + log10(42) ÷ 2) = .2898, in two steps .8 · .3 · .2898.
        self::assertSame([.3, $this->greta->id, null], $this->way($this->olav));
        [$strength, $by, $via] = $this->way($this->pernille);
        self::assertEqualsWithDelta(.8 * .3 * .7 * .75 / (1 + log10(42) / 2), $strength, 2e-3);
        self::assertSame([$this->greta->id, $this->olav->id], [$by, $via]);
        self::assertSame(0, Intros::refresh(), 'nothing changes twice');
        self::assertTrue(Account::query()->findOrFail($this->account->id)->stale);
        (new Standings)->refresh();
        $after = Standing::query()->whereNotNull('priority')->sole();
        self::assertGreaterThan(.06, $after->access);
        self::assertGreaterThan($before->points, $after->points);
        // The screen says why, and its lines add up.
        $this->get(route('accounts.show', $this->account))->assertSeeText('the best way through one of us');
        Relation::query()->delete();
        self::assertSame(2, Intros::refresh());
        self::assertSame([0.0, null, null], $this->way($this->olav));
    }

    public function test_a_way_through_two_counts_and_one_over_a_company_that_is_nobodys_account(): void
    {
        $karin = Contact::factory()->create(['account_id' => Account::factory()->create()->id]);
        foreach ([$this->pernille, $karin] as $one) {
            Position::factory()->create([
                'contact_id' => $one->id, 'account_id' => null, 'company' => 'Sandtorps Ull',
                'since' => '2015-01-01', 'until' => '2018-01-01',
            ]);
        }
        Position::factory()->create([
            'contact_id' => Contact::factory()->create(['account_id' => $karin->account_id])->id, 'account_id' => null,
            'company' => 'Sandtorps Ull', 'since' => '2018-02-01', 'until' => '2019-01-01',
        ]);
        self::assertSame(3, Intros::refresh(), 'whoever came after they had left knows neither');
        // Greta – Olav .3, Olav – Pernille as above, Pernille – Karin 36 months at a house of unknown size, so 112:
        // .7 · (1 − 2^−2) ÷ (1 + log10(11.2) ÷ 2) = .3444; three edges cost .64.
        [$strength, $by, $via] = $this->way($karin);
        $second = .7 * .75 / (1 + log10(42) / 2);
        self::assertEqualsWithDelta(.64 * .3 * $second * .3444, $strength, 3e-4);
        self::assertSame([$this->greta->id, $this->olav->id], [$by, $via]);
        $this->knows($this->rep, $this->pernille, 40);
        Intros::refresh();
        self::assertSame($this->pernille->id, $this->way($karin)[2], 'a shorter way is better');
    }

    public function test_whoever_shares_a_school_is_reached_by_the_best_known_of_it(): void
    {
        [$berit, $sven, $karin, $lena] = Contact::factory()->count(4)
            ->create(['account_id' => Account::factory()->create()->id])->all();
        $this->knows($this->rep, $berit, 40);
        DB::table('affiliations')->insert(array_map(
            fn (array $one): array => ['contact_id' => $one[0]->id, 'kind' => $one[1], 'name' => $one[2]],
            [
                [$this->olav, 'school', 'Kråkvik skola'], [$berit, 'school', 'KRÅKVIK SKOLA'],
                [$sven, 'school', 'kråkvik skola'], [$sven, 'school', 'Lomvik skola'],
                [$karin, 'school', 'Lomvik skola'],
                [$lena, 'language', 'Kråkvik skola'],
            ],
        ));
        Intros::refresh();
        // Berit .3 + .25 · (1 − 2^−8) = .549; who studied together .25, each further edge .8.
        self::assertEquals([.549, $this->rep->id, null], $this->way($berit));
        self::assertEquals([.1098, $this->rep->id, $berit->id], $this->way($sven), 'Olav is known less well');
        self::assertEquals([.022, $this->rep->id, $berit->id], $this->way($karin), 'by another school');
        self::assertEquals([.3, $this->greta->id, null], $this->way($this->olav), 'a direct way is better');
        self::assertEquals([0, null, null], $this->way($lena));
    }

    public function test_ways_are_shown_with_the_why_of_each_step(): void
    {
        $ways = Paths::to($this->pernille, $this->rep);
        self::assertSame(
            [['Mira', 'Greta Nystierna', 'Olav', 'Pernille']],
            array_map(fn (array $way): array => array_map(
                fn (User|Contact $one): string => $one instanceof User ? $one->name : $one->first_name, $way['people'],
            ), $ways),
        );
        self::assertEqualsWithDelta(.9 * .3 * .7 * .75 / (1 + log10(42) / 2) * .64, $ways[0]['path']->strength, 2e-3);
        self::assertSame('work together here', $ways[0]['why'][0][0]);
        self::assertStringStartsWith('worked at Glasverk Tunhede together until', $ways[0]['why'][2][0]);
        $this->knows($this->rep, $this->pernille, 40);
        $ways = Way::to($this->pernille, $this->rep);
        self::assertSame('Pernille '.$this->pernille->last_name, $ways[0]->names());
        self::assertNull($ways[0]->asks, 'nobody is asked for a direct way');
        $this->get(route('contacts.show', $this->pernille))->assertSeeText('Ways in')
            ->assertSeeText('Greta Nystierna → Olav Brekke → Pernille');
    }

    public function test_an_introduction_is_asked_for_answered_by_address_and_counts_as_an_approach(): void
    {
        $path = implode('-', Paths::to($this->pernille, $this->rep)[0]['path']->people);
        $this->get(route('asks.create', [$this->pernille, 'path' => $path]))->assertOk()
            ->assertSee('Ask Greta Nystierna for an introduction')->assertSee('Hello Greta')
            ->assertDontSee('in the address book')->assertDontSee('In their own words: “Hello', false);
        $form = [
            'path' => $path, 'request' => 'Hello Greta, would you introduce us?', 'forward' => 'May I introduce Mira?',
            'remind_on' => '2026-11-30',
        ];
        $this->post(route('asks.store', $this->pernille), $form)->assertSessionHasNoErrors();
        $ask = Ask::query()->sole();
        self::assertSame(
            [$this->greta->id, null, AskState::Asked], [$ask->asked_user_id, $ask->asked_contact_id, $ask->state],
        );
        $approach = Approach::query()->sole();
        self::assertSame(
            [ApproachKind::AskIntroduction, 'Remind Greta Nystierna', '2026-11-30'],
            [$approach->kind, $approach->next_step, $approach->next_step_on?->toDateString()],
        );
        // Asked once, the way is half as strong.
        $half = .5 * .9 * .3 * .7 * .75 / (1 + log10(42) / 2) * .64;
        self::assertEqualsWithDelta($half, Paths::to($this->pernille, $this->rep)[0]['path']->strength, 2e-3);
        $address = Asking::address($ask);
        $this->get(route('asks.show', $ask))->assertSee('One click says yes or no')->assertSee('asked');
        auth()->logout();
        $this->get($address)->assertOk()->assertSee('Mira asks for an introduction')->assertDontSee('Today');
        $this->post($address, ['state' => 'passed_on', 'answer' => 'She is glad to talk.'])->assertRedirect();
        self::assertSame([AskState::PassedOn, 'She is glad to talk.'], [$ask->refresh()->state, $ask->answer]);
        $this->get($address)->assertSee('passed on');
        $this->actingAs($this->rep)->get(route('contacts.show', $this->pernille))
            ->assertSeeText('Greta Nystierna: passed on');
        $this->get(route('network'))->assertSeeText('Who was asked')->assertSeeText('Greta Nystierna');
        $this->patch(route('asks.update', $ask), ['thanked' => 1]);
        self::assertNotNull($ask->refresh()->thanked_at);
    }

    public function test_whoever_does_not_answer_is_reminded_twice_and_then_let_go(): void
    {
        $path = implode('-', Paths::to($this->pernille, $this->rep)[0]['path']->people);
        $this->post(route('asks.store', $this->pernille), [
            'path' => $path, 'request' => 'Hello Greta, would you introduce us?', 'forward' => 'May I introduce Mira?',
            'remind_on' => '2026-11-30',
        ]);
        $ask = Ask::query()->sole();
        $page = route('asks.show', $ask);
        $this->get($page)->assertDontSee('these words remind them')->assertDontSee('They are reminded');
        foreach (['2026-11-30' => '2026-12-07', '2026-12-07' => '2026-12-14'] as $day => $next) {
            $this->at("{$day}T09:00:00Z");
            $this->get('/')->assertSee('Remind Greta Nystierna');
            $this->get($page)->assertSeeText('these words remind them')->assertSeeText('may I come back to Pernille');
            $this->patch(route('asks.update', $ask), ['reminded' => 1])->assertSessionHas(
                'said', 'Greta Nystierna is reminded.',
            );
            self::assertSame($next, Approach::query()->sole()->next_step_on?->toDateString());
            $this->get('/')->assertDontSee('Remind Greta Nystierna');
        }
        $this->at('2026-12-14T09:00:00Z');
        $this->get('/')->assertSee('Take Greta Nystierna as not answering, and another way');
        $this->get($page)->assertSeeText('asked 21 days ago, reminded 2 times')->assertSeeText('another way in')
            ->assertDontSee('They are reminded');
        $this->get(route('network'))->assertSeeText('0 of 1 agreed, 1 not answered yet');
        $this->get(Asking::address($ask->refresh()))->assertOk();
        $this->patch(route('asks.update', $ask), ['reminded' => 1])
            ->assertSessionHas('said', 'Greta Nystierna has answered meanwhile, or was reminded often enough.');
        self::assertSame(2, $ask->refresh()->reminders);
        $this->patch(route('asks.update', $ask), ['state' => 'no_answer']);
        self::assertNull(Approach::query()->sole()->next_step);
        $this->patch(route('asks.update', $ask), ['state' => 'agreed']);
        self::assertSame('Hear from Greta Nystierna how it went', Approach::query()->sole()->next_step);
        self::assertSame('2026-12-21', Approach::query()->sole()->next_step_on?->toDateString());
    }

    public function test_the_network_names_best_introducers_and_gaps_and_goes_out_as_a_graph(): void
    {
        $closed = Account::factory()->create(['name' => 'Closed Works']);
        (new Standings)->all();
        Standing::query()->where('account_id', $closed->id)->update([
            'state' => 'ranked', 'points' => 50, 'priority' => 99,
        ]);
        Intros::refresh();
        $this->get(route('network'))->assertSeeTextInOrder([
            'Best introducers', 'Greta Nystierna: a way into 1 of the best 2', 'Gaps', 'Closed Works',
        ]);
        $this->olav->update(['last_name' => "Brekke & <Søn>\x07"]);
        $file = $this->get(route('network.graph'))->assertOk()->assertDownload('network.graphml')->streamedContent();
        $graph = simplexml_load_string($file);
        self::assertNotFalse($graph);
        $graph->registerXPathNamespace('g', 'http://graphml.graphdrawing.org/xmlns');
        $names = array_map(strval(...), $graph->xpath('//g:node/g:data[@key="name"]') ?: []);
        self::assertContains('Olav Brekke & <Søn>', $names);
        $edges = $graph->xpath('//g:edge') ?: [];
        self::assertCount(1, $edges);
        self::assertSame(
            ["u{$this->greta->id}", "c{$this->olav->id}"], [(string) $edges[0]['source'], (string) $edges[0]['target']],
        );
        self::assertSame('0.3', (string) $edges[0]->data[0]);
    }

    public function test_the_address_holds_for_one_purpose_and_not_for_ever(): void
    {
        $ask = Ask::factory()->create([
            'offer_id' => $this->offer->id, 'contact_id' => $this->pernille->id, 'user_id' => $this->rep->id,
            'asked_user_id' => $this->greta->id,
        ]);
        $other = Ask::factory()->create([
            'offer_id' => $this->offer->id, 'contact_id' => $this->olav->id, 'user_id' => $this->rep->id,
            'asked_user_id' => $this->greta->id,
        ]);
        auth()->logout();
        $address = Asking::address($ask);
        $this->get(route('asks.answer', $ask))->assertForbidden();
        $this->get(str_replace("asks/{$ask->id}/", "asks/{$other->id}/", $address))->assertForbidden();
        $this->post($address, ['state' => 'no_answer'])->assertSessionHasErrors('state');
        $this->get(route('asks.show', $ask))->assertRedirect('/sign-in');
        $this->at('2026-12-15T09:00:00Z');
        $this->get($address)->assertForbidden();
        $this->post($address, ['state' => 'agreed'])->assertForbidden();
        self::assertSame(AskState::Asked, $ask->refresh()->state);
    }

    public function test_a_way_that_is_gone_or_a_person_who_is_kept_out_asks_nobody(): void
    {
        $path = implode('-', Paths::to($this->pernille, $this->rep)[0]['path']->people);
        $form = ['path' => $path, 'request' => 'Would you introduce us?', 'forward' => 'May I introduce Mira?'];
        $this->post(route('asks.store', $this->pernille), ['request' => ''] + $form)
            ->assertSessionHasErrors('request');
        KeepOut::query()->create([
            'type' => 'contact', 'contact_id' => $this->pernille->id, 'value' => 'x', 'reason' => 'asked',
            'account_id' => $this->account->id, 'user_id' => $this->lead->id,
        ]);
        $this->post(route('asks.store', $this->pernille), $form)->assertSessionHasErrors('path');
        KeepOut::query()->delete();
        Relation::query()->delete();
        $this->post(route('asks.store', $this->pernille), $form)->assertSessionHasErrors('path');
        $this->get(route('asks.create', [$this->pernille, 'path' => 'nonsense']))->assertRedirect();
        self::assertSame([0, 0], [Ask::query()->count(), Approach::query()->count()]);
        $ask = Ask::factory()->create([
            'offer_id' => $this->offer->id, 'contact_id' => $this->pernille->id, 'user_id' => $this->lead->id,
            'asked_user_id' => $this->greta->id,
        ]);
        $this->patch(route('asks.update', $ask), ['state' => 'declined'])->assertForbidden();
        $this->actingAs($this->lead)->patch(route('asks.update', $ask), ['state' => 'declined']);
        self::assertSame(AskState::Declined, $ask->refresh()->state);
    }

    public function test_who_is_erased_is_not_named_in_what_was_asked_of_others(): void
    {
        $ask = Ask::factory()->create([
            'offer_id' => $this->offer->id, 'contact_id' => $this->pernille->id, 'user_id' => $this->rep->id,
            'asked_user_id' => $this->greta->id, 'people' => ['Mira', 'Greta Nystierna', 'Olav Brekke', 'Pernille'],
            'request' => 'Hello Greta, Olav Brekke works there too.',
        ]);
        Ask::factory()->create([
            'offer_id' => $this->offer->id, 'contact_id' => $this->pernille->id, 'user_id' => $this->rep->id,
            'asked_contact_id' => $this->olav->id,
        ]);
        self::assertCount(2, EraseContact::known($this->pernille)['introductions asked for']);
        EraseContact::erase($this->olav, $this->lead);
        self::assertSame([$ask->id], Ask::query()->pluck('id')->all());
        self::assertStringNotContainsString('Olav', $ask->refresh()->request.implode(' ', $ask->people));
        EraseContact::erase($this->pernille, $this->lead);
        self::assertSame(0, Ask::query()->count());
    }

    private function knows(User $user, Contact $contact, ?int $exchanges = null): void
    {
        Relation::query()->create([
            'user_id' => $user->id, 'contact_id' => $contact->id, 'person' => $contact->name(),
            'exchanges' => $exchanges, 'fingerprint' => sha1("{$user->id} {$contact->id}"),
        ]);
    }

    /** @return array{float, int|null, int|null} */
    private function way(Contact $contact): array
    {
        $contact->refresh();

        return [(float) $contact->intro, $contact->intro_by, $contact->intro_via];
    }
}
