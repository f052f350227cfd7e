<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Search;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\KeptList;
use App\Models\Role;
use App\Standings\Standings;
use Tests\TestCase;

/** Accounts and people are put onto lists from wherever they are seen, and taken off again. */
final class CollectTest extends TestCase
{
    /** @var list<int> */
    private array $people;

    private int $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede()->id;
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title\n"
            ."tunhede.example;Ida;Lie;Plant Manager\ntunhede.example;Bo;Dam;Energy Manager\n");
        (new Standings)->refresh();
        $this->people = Contact::query()->orderBy('id')->pluck('id')->all();
        $this->actingAs($this->rep);
    }

    public function test_people_go_onto_a_new_list_and_then_onto_the_same(): void
    {
        $this->get("/accounts/{$this->account}")->assertOk()->assertSeeText('Add people to a list');
        $this->post('/members', ['subject' => 'contacts', 'list_name' => 'Glass folk', 'only' => [$this->people[0]]])
            ->assertSessionHas('said', '1 contact added to “Glass folk”.');
        $list = KeptList::query()->sole();
        // A name that is there is that list; who is on it already stays once.
        $this->post('/members', [
            'subject' => 'contacts', 'list_name' => 'Glass folk', 'only' => array_slice($this->people, 0, 2),
        ])->assertSessionHas('said', '1 contact added to “Glass folk”; the others were on it already.');
        $this->post('/members', ['subject' => 'contacts', 'onto' => $list->id, 'only' => (string) $this->people[2]]);
        self::assertSame($this->people, $list->members()->pluck('record_id')->all());
        $this->get("/lists/{$list->id}")->assertOk()->assertSeeText('Collected by hand')->assertSeeText('3 contacts');
        $this->get("/finder?on=contacts&c[0][f]=list&c[0][v]={$list->id}")->assertSeeText('3 contacts');
    }

    public function test_members_are_removed_and_come_back(): void
    {
        $this->post('/members', ['subject' => 'contacts', 'list_name' => 'All', 'only' => $this->people]);
        $list = KeptList::query()->sole();
        $this->delete("/lists/{$list->id}/members", ['only' => [$this->people[1], 999_999]])
            ->assertSessionHas('said', '1 contact removed from “All”.');
        $undo = session('undo');
        self::assertSame(2, $list->members()->count());
        $this->post($undo['to'], $undo['fields']);
        self::assertSame(3, $list->members()->count());
        $this->delete("/lists/{$list->id}/members", [])->assertSessionHas('said', 'Choose whom to remove.');
    }

    public function test_what_is_found_goes_onto_a_list_that_is_there(): void
    {
        $this->post('/members', ['subject' => 'accounts', 'list_name' => 'Houses', 'only' => [$this->account]]);
        $this->post('/members', ['subject' => 'contacts', 'list_name' => 'People', 'only' => [$this->people[0]]]);
        $list = KeptList::query()->where('name', 'People')->firstOrFail();
        $search = ['on' => 'contacts', 'c' => [['f' => 'title', 'q' => 'manager']]];
        $this->post('/finder/lists', ['onto' => $list->id, 'only' => [$this->people[1]]] + $search)
            ->assertRedirect("/lists/{$list->id}")->assertSessionHas('said', '1 contact added to “People”.');
        $this->post('/finder/lists', ['onto' => $list->id] + $search)->assertSessionHasNoErrors();
        self::assertSame($this->people, $list->members()->pluck('record_id')->all());
        $accounts = KeptList::query()->where('name', 'Houses')->firstOrFail();
        $this->post('/finder/lists', ['onto' => $accounts->id] + $search)->assertNotFound();
    }

    public function test_only_the_best_are_kept(): void
    {
        $search = ['on' => 'contacts', 'c' => [['f' => 'domain', 'v' => 'tunhede.example']]];
        $this->post('/finder/lists', ['name' => 'Two', 'best' => '2'] + $search)->assertSessionHasNoErrors();
        $list = KeptList::query()->where('name', 'Two')->firstOrFail();
        $best = Search::from($this->offer, $search)->ids();
        self::assertCount(3, $best);
        self::assertSame(array_slice($best, 0, 2), $list->members()->pluck('record_id')->all());
        // The third is found as before, and no newcomer.
        $this->get("/lists/{$list->id}")->assertSeeText('would add 0 and miss 0.');
        $this->post('/finder/lists', ['name' => 'None', 'best' => '0'] + $search)
            ->assertSessionHasErrors(['best' => 'Only the best: a number from 1.']);
        $this->post('/members', ['subject' => 'contacts', 'list_name' => 'One', 'only' => [$best[2]]]);
        $one = KeptList::query()->where('name', 'One')->firstOrFail();
        $this->post('/finder/lists', ['onto' => $one->id, 'best' => '1'] + $search);
        self::assertSame([$best[2], $best[0]], $one->members()->pluck('record_id')->all());
    }

    public function test_what_is_wrong_is_said_and_a_list_of_others_is_theirs(): void
    {
        $this->post('/members', ['subject' => 'contacts', 'only' => $this->people])
            ->assertSessionHasErrors(['list_name' => 'Choose a list, or give a new one a name.']);
        $this->post('/members', ['subject' => 'contacts', 'list_name' => 'Nobody'])
            ->assertSessionHasErrors(['only' => 'Choose at least one.']);
        $this->post('/members', ['subject' => 'houses', 'list_name' => 'X', 'only' => [1]])
            ->assertSessionHasErrors('subject');
        $this->post('/members', ['subject' => 'contacts', 'list_name' => 'Mine', 'only' => $this->people]);
        $list = KeptList::query()->where('name', 'Mine')->firstOrFail();
        $this->actingAs($this->person('Selma', Role::Rep));
        $this->post('/members', ['subject' => 'contacts', 'onto' => $list->id, 'only' => $this->people])
            ->assertForbidden();
        $this->delete("/lists/{$list->id}/members", ['only' => $this->people])->assertForbidden();
        self::assertSame(3, $list->members()->count());
    }
}
