<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\ByHand;
use App\Intake\Importer;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\Signal;
use App\Models\Standing;
use App\Standings\Standings;
use App\View\Account\AccountPage;
use Tests\TestCase;

/** Accounts and signals that somebody types are read as a file would be, and can be undone. */
final class ByHandTest extends TestCase
{
    public function test_an_account_is_added_corrected_and_taken_back(): void
    {
        $this->actingAs($this->rep)->get('/accounts/new')->assertOk()->assertSeeText('Add an account');
        $this->post('/accounts', [
            'name' => 'Glasverk Tunhede', 'domain' => 'https://www.tunhede.example/om-oss', 'industry' => 'Glas',
            'headcount' => 'ca. 420 MA', 'revenue' => '1,5 Mio EUR', 'growth' => '5 %', 'country' => 'Dänemark',
            'city' => 'Hobro', 'technologies' => 'Tryklog; Vedliko Plan',
        ])->assertSessionHasNoErrors();
        $account = Account::query()->where('domain', 'tunhede.example')->firstOrFail();
        self::assertSame([420, 1.5e6, .05], [$account->headcount, $account->revenue, $account->growth]);
        self::assertSame('DK', $account->headquarters()?->country);
        self::assertSame(['2310'], $account->industries->pluck('code')->all());
        self::assertSame('Mira, by hand', $account->source);
        $this->get("/accounts/{$account->id}/edit")->assertOk()->assertSee('value="5 %"', false)
            ->assertSee('value="Tryklog; Vedliko Plan"', false);
        $this->put("/accounts/{$account->id}", [
            'name' => 'Glasverk Tunhede', 'headcount' => '440', 'city' => 'Skive', 'other_sites' => 'Aalborg',
            'status' => 'competitor',
        ])->assertSessionHasNoErrors()->assertRedirect("/accounts/{$account->id}");
        $account = $account->fresh(['places', 'technologies']) ?? self::fail('it is gone');
        self::assertSame([440, 'Skive', 'DK', 'competitor', 1.5e6], [
            $account->headcount, $account->headquarters()?->city, $account->headquarters()?->country, $account->status,
            $account->revenue,
        ]);
        self::assertSame(['Skive', 'Aalborg'], $account->places->pluck('city')->all());
        self::assertCount(2, $account->technologies);
        // Each fact says from whom it is, and of which day.
        $facts = AccountPage::of($this->offer, $account, $this->rep, [])->facts();
        self::assertSame(['440', 'By hand: Glasverk Tunhede · 23 November 2026'], $facts['Headcount']);
        self::assertSame(['+5 %', 'Mira, by hand · seen 23 November 2026'], $facts['Growth over a year']);
        $this->put("/accounts/{$account->id}", ['name' => 'Glasverk Tunhede', 'status' => 'none']);
        self::assertNull($account->refresh()->status);
        $this->put("/accounts/{$account->id}", [
            'name' => 'Glasverk Tunhede', 'customer_since' => '5/2024', 'customer_until' => '1/2024',
        ])->assertSessionHasErrors(['row' => 'The customer period ends before it begins.']);
        $this->put("/accounts/{$account->id}", ['name' => 'Glasverk Tunhede', 'customer_since' => 'früher'])
            ->assertSessionHasErrors('customer_since');
        $this->put("/accounts/{$account->id}", [
            'name' => 'Glasverk Tunhede', 'customer_since' => '5/2024', 'customer_best' => '1',
        ])->assertSessionHasNoErrors();
        $period = $account->customerPeriods()->sole();
        self::assertSame(['2024-05-01', true], [$period->since?->toDateString(), (bool) $period->best]);
        // Newest first, each takes back what it said.
        foreach (Intake::query()->orderByDesc('id')->get() as $intake) {
            $this->post("/intake/{$intake->id}/undo")->assertSessionHasNoErrors();
            $this->get("/intake/{$intake->id}")->assertOk();
        }
        self::assertSame(0, Account::query()->count());
    }

    public function test_no_file_changes_what_was_set_by_hand(): void
    {
        $file = fn (string $heads, string $city): Intake => $this->bring(
            IntakeKind::Accounts,
            "domain;name;headcount;revenue;industry;city;country\n"
                ."tunhede.example;Glasverk Tunhede;$heads;EUR 80 Mio;glass;$city;DK\n",
        );
        $file('420', 'Hobro');
        $account = Account::query()->sole();
        $by = $this->rep;
        [, $correction] = ByHand::account($account, ['headcount' => '433', 'technologies' => 'Tryklog'], $by);

        self::assertSame([0, 1], [$file('999', 'Hobro')->updated, $file('999', 'Hobro')->unchanged]);
        self::assertSame([433, null], [$account->refresh()->headcount, $account->headcount_given]);
        self::assertSame(1, $file('ca. 999', 'Aalborg')->updated, 'what was not set by hand follows the file');
        self::assertSame([433, null, 'Aalborg'], [
            $account->refresh()->headcount, $account->headcount_given, $account->headquarters()?->city,
        ]);

        (new Importer)->undo($correction);
        self::assertSame(420, $account->refresh()->headcount);
        self::assertSame(1, $file('999', 'Aalborg')->updated, 'with the correction gone, files tell of it again');
        self::assertSame(999, $account->refresh()->headcount);
    }

    public function test_what_cannot_be_read_is_sent_back_and_nothing_is_kept(): void
    {
        $this->actingAs($this->rep)->post('/accounts', ['name' => ' '])->assertSessionHasErrors('name');
        $this->post('/accounts', ['name' => 'A', 'headcount' => 'viele', 'country' => 'Atlantis'])
            ->assertSessionHasErrors([
                'headcount' => '“viele” cannot be read as headcount. Nothing was kept.',
                'country' => '“Atlantis” cannot be read as country. Nothing was kept.',
            ]);
        self::assertSame([0, 0], [Account::query()->count(), Intake::query()->count()]);
        $account = $this->tunhede();
        $this->post('/accounts', ['name' => 'Other', 'domain' => 'tunhede.example'])
            ->assertSessionHasErrors(
                ['domain' => 'Glasverk Tunhede has that domain; an account is told by its domain.'],
            );
        $this->put("/accounts/{$account->id}", ['name' => 'Tunhede', 'domain' => 'other.example'])
            ->assertSessionHasErrors('domain');
        self::assertSame('Glasverk Tunhede', $account->refresh()->name);
    }

    public function test_an_account_without_a_website_lives_by_hand_alone(): void
    {
        $this->actingAs($this->rep)->post('/accounts', ['name' => 'Praxis Quast', 'city' => 'Ulm'])
            ->assertSessionHasNoErrors();
        $this->post('/accounts', ['name' => 'Praxis Halm', 'industry' => 'glass']);
        $account = Account::query()->where('name', 'Praxis Halm')->firstOrFail();
        self::assertNull($account->domain);
        $this->post("/accounts/{$account->id}/signals", [
            'kind' => 'expansion', 'date' => '20.11.2026', 'title' => 'A second room',
        ])->assertRedirect("/accounts/{$account->id}")->assertSessionHasNoErrors();
        self::assertSame([$account->id], Signal::query()->pluck('account_id')->all());
        $this->put("/accounts/{$account->id}", ['name' => 'Praxis Halm', 'domain' => 'praxis-halm.example']);
        self::assertSame('praxis-halm.example', $account->refresh()->domain);
    }

    public function test_a_signal_is_added_moves_the_ranking_and_is_undone(): void
    {
        $account = $this->tunhede();
        $before = $this->standing($account)->push;
        $this->actingAs($this->rep)->get("/accounts/{$account->id}")->assertOk()->assertSeeText('Add a signal');
        $this->post("/accounts/{$account->id}/signals", ['kind' => 'nonsense', 'date' => '', 'title' => ''])
            ->assertSessionHasErrors(['kind', 'date', 'title']);
        $this->post("/accounts/{$account->id}/signals", ['kind' => 'expansion', 'date' => 'soon', 'title' => 'A hall'])
            ->assertSessionHasErrors('row');
        $signal = [
            'kind' => 'expansion', 'date' => '22 November 2026', 'title' => 'A new hall in Skive',
            'quote' => 'It opens in spring.', 'link' => 'https://press.example/hall',
        ];
        $this->post("/accounts/{$account->id}/signals", $signal)->assertSessionHasNoErrors();
        $stored = Signal::query()->where('kind', 'expansion')->firstOrFail();
        self::assertSame(
            ['2026-11-22', 1.0, 1.0, 'Mira, by hand'],
            [$stored->occurred_at->toDateString(), $stored->strength, $stored->confidence, $stored->source],
        );
        (new Standings)->refresh();
        // A fresh expansion weighs .40.
        self::assertEqualsWithDelta($before + .4, $this->standing($account)->push, 1e-6);
        $this->post("/accounts/{$account->id}/signals", $signal)->assertSessionHasErrors('title');
        $this->post('/intake/'.Intake::query()->where('name', 'like', 'By hand%')->value('id').'/undo');
        (new Standings)->refresh();
        self::assertEqualsWithDelta($before, $this->standing($account)->push, 1e-6);
        self::assertSame(1, Standing::query()->count());
    }

    public function test_channels_are_added_and_what_is_found_out_counts_at_once(): void
    {
        $account = $this->tunhede();
        $contact = Contact::query()->where('account_id', $account->id)->firstOrFail();
        $before = $this->standing($account)->access;
        $this->actingAs($this->rep);
        foreach (
            [
                ['phone', '+45 32 10 00 00', '+45 32 10 00 00'], ['email', 'Mail: pa@tunhede.example', null],
                ['email', 'PA@tunhede.example', 'pa@tunhede.example'], ['phone', '4,6E+10', null], ['phone', '', null],
                ['profile', 'https://people.example/pernille', 'https://people.example/pernille'],
            ] as [$type, $typed, $kept]
        ) {
            $added = $this->post("/contacts/{$contact->id}/channels", ['type' => $type, 'value' => $typed]);
            $kept === null ? $added->assertSessionHasErrors('value') : $added->assertSessionHasNoErrors();
        }
        self::assertSame(
            ['+45 32 10 00 00', 'pa@tunhede.example', 'https://people.example/pernille'],
            $contact->channels()->where('value', '!=', 'pernille@tunhede.example')->orderBy('id')->pluck('value')
                ->all(),
        );
        (new Standings)->refresh();
        // A checked address .588 and a direct phone .5; 1 − .412 · .5.
        self::assertEqualsWithDelta(1 - (1 - $before) * .5, $this->standing($account)->access, 1e-6);
        $email = $contact->channels()->where('value', 'pernille@tunhede.example')->firstOrFail();
        $this->patch("/contacts/{$contact->id}/channels/{$email->id}", ['state' => 'invalid'])
            ->assertSessionHasNoErrors();
        $this->get("/contacts/{$contact->id}")->assertOk()->assertSeeText('It works again');
        $phone = $contact->channels()->where('type', 'direct_phone')->firstOrFail();
        $this->delete("/contacts/{$contact->id}/channels/{$phone->id}");
        (new Standings)->refresh();
        // What is left is the second address, not checked: .6 · .5.
        self::assertEqualsWithDelta(.3, $this->standing($account)->access, 1e-6);
    }
}
