<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Candidate;
use App\Models\CandidateCompany;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\Opening;
use App\Models\Signal;
use App\Standings\Standings;
use Tests\TestCase;

/** Who turned up in a source and is in no list. */
final class CandidatesTest extends TestCase
{
    use HasOutside {
        setUp as private setUpOutside;
    }

    protected function setUp(): void
    {
        $this->setUpOutside();
        $this->offer->ruleSets()->create([
            'version' => 2, 'kinds' => [], 'buyer_roles' => [], 'criteria' => [
                ['name' => 'where we go', 'field' => 'country', 'mode' => 'must', 'any' => ['DK']],
                ['name' => 'air', 'field' => 'text', 'mode' => 'prefer', 'weight' => 1, 'query' => 'air'],
                ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 1, 'range' => [40, 900]],
            ], 'roles_of_interest' => [
                ['name' => 'Planner', 'title_query' => 'planner', 'functions' => ['maintenance']],
            ],
        ]);
        $this->offer->refresh();
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Glasverk Tunhede\n");
        $new = ['employer' => 'Hvitmo Glas', 'domain' => 'hvitmo.example', 'text' => '<p>Compressed air.</p>'];
        $this->world('postings', [
            $this->posting(1, $new),
            $this->posting(2, ['title' => 'Cook', 'at' => '2026-11-21T08:00:00Z'] + $new),
            $this->posting(3, ['employer' => 'Firm', 'domain' => 'firm.example', 'country' => 'SE']),
            $this->posting(4, ['employer' => 'Kvarnby Rekrytering', 'domain' => '']),
            $this->posting(5),
        ]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
    }

    public function test_they_stand_by_how_well_they_would_fit_agencies_apart(): void
    {
        $page = $this->actingAs($this->rep)->get('/candidates')->assertOk()
            ->assertSeeTextInOrder(['Hvitmo Glas', 'Maintenance planner', '75 % fit; 50 % of that is known', '2 times'])
            ->assertSeeTextInOrder(['Firm', 'out: where we go'])->assertDontSeeText('Kvarnby');
        $page->assertSeeInOrder(['Hvitmo Glas', 'Firm'], false)->assertDontSeeText('Glasverk Tunhede');
        $this->get('/candidates?tab=agencies')->assertSeeText('Kvarnby Rekrytering')
            ->assertSeeText('agency, by its name');
        $this->get('/intake')->assertSeeText('2 candidates');
    }

    public function test_they_are_searched_by_the_words_they_use(): void
    {
        $this->actingAs($this->rep)->get('/candidates?q='.rawurlencode('"compressed air" OR lasers'))
            ->assertSeeText('Hvitmo Glas')->assertSeeText('Compressed air');
        $this->get('/candidates?q=hvitmo')->assertSeeText('“Hvitmo Glas”')->assertDontSeeText('out: where we go');
        $this->get('/candidates?q=firm')->assertSeeText('Firm')->assertDontSeeText('Hvitmo Glas');
        $this->get('/candidates?q=lasers')->assertSeeText('Nobody of these says that.');
        $this->get('/candidates?q='.rawurlencode('air AND'))->assertOk()->assertSee('role="alert"', false)
            ->assertSeeText('Hvitmo Glas');
        $this->get('/candidates?tab=people&q=air')->assertOk();
        $this->post(route('alike.search'), ['phrases' => ['compressed air', 'lasers'], 'among' => 'candidates'])
            ->assertRedirect(route('candidates', ['q' => '"compressed air" OR "lasers"']));
    }

    public function test_an_accepted_one_is_ranked_with_what_was_seen_of_it_and_the_decision_can_be_undone(): void
    {
        $hvitmo = CandidateCompany::query()->where('domain', 'hvitmo.example')->sole();
        $this->actingAs($this->rep)->post('/candidates', ['ids' => [$hvitmo->id], 'do' => 'accept'])
            ->assertSessionHas('said', '1 company taken into the base.');
        (new Standings)->refresh();
        $account = Account::query()->where('domain', 'hvitmo.example')->firstOrFail();
        self::assertSame(
            'Maintenance planner sought',
            Signal::query()->where('account_id', $account->id)->sole()->title,
        );
        self::assertSame('ranked', $this->standing($account)->state->value);
        $this->get('/candidates')->assertDontSeeText('Hvitmo Glas');
        $this->delete("/candidates/{$hvitmo->id}");
        self::assertSame(0, Account::query()->where('domain', 'hvitmo.example')->count());
        self::assertSame(1, Signal::query()->count(), 'that of Tunhede');
        $this->get('/candidates')->assertSeeText('Hvitmo Glas');
    }

    public function test_one_that_is_an_account_already_is_matched_and_the_match_can_be_undone(): void
    {
        $hvitmo = CandidateCompany::query()->where('domain', 'hvitmo.example')->sole();
        $this->actingAs($this->rep)->patch(route('candidates.match', $hvitmo), ['is' => 'Nobody'])
            ->assertSessionHasErrors(['is' => 'No account has the domain or the name “Nobody”, or several have the '
                .'name; its domain would tell.']);
        $this->patch(route('candidates.match', $hvitmo), ['is' => ''])->assertSessionHasErrors('is');
        $tunhede = Account::query()->where('domain', 'tunhede.example')->sole();
        $told = fn (): array => [
            Opening::query()->where('account_id', $tunhede->id)->orderBy('title')->pluck('title')->all(),
            Signal::query()->where('account_id', $tunhede->id)->pluck('title')->all(),
        ];
        self::assertSame([['Maintenance planner'], ['Maintenance planner sought']], $told());
        $this->patch(route('candidates.match', $hvitmo), ['is' => 'https://www.tunhede.example/jobs'])
            ->assertSessionHas('said', 'Hvitmo Glas is Glasverk Tunhede.');
        self::assertSame('Cook', $told()[0][0]);
        $this->get('/candidates')->assertSeeText('Hvitmo Glas is Glasverk Tunhede.');
        $this->get('/candidates')->assertDontSeeText('Hvitmo Glas');
        // What comes of it from now on counts there too.
        $this->world('postings', [$this->posting(9, [
            'employer' => 'Hvitmo Glas', 'domain' => 'hvitmo.example', 'title' => 'Driver',
        ])]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl?again'));
        self::assertContains('Driver', $told()[0]);
        $this->delete(route('candidates.reopen', $hvitmo));
        self::assertSame([['Maintenance planner'], ['Maintenance planner sought']], $told());
        $this->get('/candidates')->assertSeeText('Hvitmo Glas');
    }

    public function test_one_without_a_domain_is_matched_by_its_name_from_then_on(): void
    {
        $this->world('postings', [$this->posting(7, ['employer' => 'Glas Tunhede Nord', 'domain' => ''])]);
        $feed = $this->feed('posting-lines', 'jobs/feed.jsonl?names');
        $this->ask($feed);
        $company = CandidateCompany::query()->where('name', 'Glas Tunhede Nord')->sole();
        $this->actingAs($this->rep)->patch(route('candidates.match', $company), ['is' => 'glasverk tunhede'])
            ->assertSessionHas('undo');
        $this->world('postings', [
            $this->posting(8, ['employer' => 'Glas Tunhede Nord', 'domain' => '', 'title' => 'Smith']),
        ]);
        $this->ask($feed);
        self::assertSame(
            Account::query()->where('domain', 'tunhede.example')->value('id'),
            Opening::query()->where('title', 'Smith')->value('account_id'),
        );
    }

    public function test_whoever_put_a_posting_up_is_a_lead_to_a_contact(): void
    {
        $this->world('postings', [
            $this->posting(6, [
                'title' => 'Smith', 'author' => ['name' => 'Ida Maria Lie', 'email' => 'i@tunhede.example'],
            ]),
        ]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl?lead'));
        $tunhede = Account::query()->where('domain', 'tunhede.example')->sole();
        $page = $this->actingAs($this->rep)->get("/accounts/{$tunhede->id}")->assertSee('put up by Ida Maria Lie')
            ->assertSee('add them as a contact');
        preg_match('~href="([^"]+#new-person)"~', (string) $page->getContent(), $link);
        $this->get(html_entity_decode($link[1]))->assertSee('value="Ida Maria"', false)
            ->assertSee('value="Lie"', false)->assertSee('value="i@tunhede.example"', false);
        self::assertSame(0, Contact::query()->count(), 'the lead is no contact by itself');
        $this->post(route('contacts.store', $tunhede), ['first_name' => 'Ida Maria', 'last_name' => 'Lie']);
        $this->get("/accounts/{$tunhede->id}")->assertDontSee('add them as a contact');
    }

    public function test_one_put_aside_does_not_come_up_again(): void
    {
        $ids = CandidateCompany::query()->whereNull('agency')->pluck('id')->all();
        $this->actingAs($this->rep)->post('/candidates', ['do' => 'aside'])->assertSessionHasErrors('ids');
        $this->post('/candidates', ['ids' => $ids, 'do' => 'aside'])
            ->assertSessionHas('said', '2 companies put aside for good.');
        $this->world('postings', [
            $this->posting(6, ['employer' => 'Hvitmo Glas', 'domain' => 'hvitmo.example']),
        ]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl?since='));
        $this->get('/candidates')->assertDontSeeText('Hvitmo Glas');
        $this->get('/candidates?tab=aside')->assertSeeText('Hvitmo Glas');
    }

    public function test_a_person_who_reacted_becomes_a_contact_with_what_they_did(): void
    {
        $this->bring(IntakeKind::Reactions, "profile;name;company;title;post;reaction;date;topic\n"
            .'https://people.example/ida;Ida Lie;Glasverk Tunhede A/S;Planner;https://posts.example/1;commented;'
            ."2026-11-22;Leaks\n"
            ."https://people.example/olav;Olav Moe;Nowhere;;https://posts.example/1;reacted;2026-11-22;\n");
        $this->actingAs($this->rep)->get('/candidates?tab=people')
            ->assertSeeTextInOrder(
                ['Ida Lie', 'Planner · Glasverk Tunhede A/S', 'commented “Leaks”', 'Glasverk Tunhede'],
            )
            ->assertSeeTextInOrder(['Olav Moe', 'their company is not in the base, or not known']);
        $ida = Candidate::query()->where('name', 'Ida Lie')->sole();
        $account = Account::query()->where('domain', 'tunhede.example')->value('id');
        $this->patch("/candidates/people/{$ida->id}", ['do' => 'accept', 'account' => $account])
            ->assertSessionHas('said', 'Ida Lie is a contact of Glasverk Tunhede.');
        $contact = Contact::query()->where('last_name', 'Lie')->sole();
        self::assertSame(
            [$contact->id, 'Commented on “Leaks”', .9],
            array_values(
                Signal::query()->where('kind', 'post_engagement')->sole()->only('contact_id', 'title', 'strength'),
            ),
        );
        $olav = Candidate::query()->where('name', 'Olav Moe')->value('id');
        $this->patch("/candidates/people/$olav", ['do' => 'aside']);
        $this->get('/candidates?tab=people');
        $this->get('/candidates?tab=people')->assertDontSeeText('Ida Lie')->assertDontSeeText('Olav Moe');
    }
}
