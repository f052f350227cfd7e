<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Lists\Trial;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Reason;
use App\Models\Reservation;
use App\Reasons\ListReasons;
use App\Standings\Standings;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Reasons for those on a list at once: each with its own evidence, and none where one must not. */
final class ListReasonsTest extends TestCase
{
    private Account $account;

    /** @var list<Contact> */
    private array $people = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        Channel::query()->delete();
        $this->people[] = Contact::query()->sole();
        foreach (['Mette', 'Olav'] as $name) {
            $this->people[] = Contact::factory()->create([
                'account_id' => $this->account->id, 'first_name' => $name, 'title' => 'Maintenance Manager',
            ]);
        }
        foreach ($this->people as $one) {
            Channel::factory()->create(['contact_id' => $one->id, 'value' => "p{$one->id}@tunhede.example"]);
        }
        (new Standings)->all();
        $this->offer->refresh();
        $this->actingAs($this->rep);
    }

    public function test_each_gets_words_and_evidence_of_their_own_and_all_are_taken_back_at_once(): void
    {
        $list = $this->listOf($this->people);
        $proposed = ListReasons::of($this->offer, $list, $this->rep);
        self::assertSame(
            array_map(fn (Contact $one): int => $one->id, $this->people),
            collect($proposed->rows)->pluck('contact.id')->sort()->values()->all(),
        );
        $words = array_map(fn (array $row): string => $row['draft']->words(), $proposed->rows);
        $angles = array_map(fn (array $row): string => $row['draft']->angle, $proposed->rows);
        self::assertSame([$words, $angles], [array_unique($words), array_unique($angles)], 'no two read the same');
        $this->get(route('lists.reasons', $list))->assertOk()->assertSee(e($words[0]), false);
        $this->post(route('lists.reasons.store', $list), [
            'contacts' => [$this->people[0]->id, $this->people[1]->id, 999],
        ])->assertSessionHasNoErrors()->assertSessionHas('said', '2 reasons recorded, each with what it rests on.');
        $reasons = Reason::query()->orderBy('id')->get();
        self::assertCount(2, $reasons);
        foreach ($reasons as $reason) {
            self::assertSame($list->id, $reason->evidence['list']);
            self::assertNotSame([], [...$reason->evidence['signals'], ...$reason->evidence['facts']]);
        }
        self::assertNotSame($reasons[0]->evidence['angle'], $reasons[1]->evidence['angle']);
        self::assertSame(2, Reservation::query()->where('user_id', $this->rep->id)->count());
        // For whom one is ready, no other is proposed.
        $again = ListReasons::of($this->offer, $list, $this->rep);
        self::assertSame([$this->people[2]->id], array_map(
            fn (array $row): int => $row['contact']->id, $again->rows,
        ));
        self::assertContains('a reason is ready already', array_column($again->leftOut, 1));
        Approach::factory()->create([
            'reason_id' => $reasons[0]->id, 'account_id' => $this->account->id, 'offer_id' => $this->offer->id,
        ]);
        $batch = $reasons[0]->evidence['batch'];
        $this->actingAs($this->lead)->delete(route('lists.reasons.undo', [$list, $batch]));
        self::assertSame(2, Reason::query()->count(), 'another’s stay');
        $this->actingAs($this->rep)->delete(route('lists.reasons.undo', [$list, $batch]))
            ->assertSessionHas('said', 'The reason is taken back.');
        self::assertSame([$reasons[0]->id], Reason::query()->pluck('id')->all(), 'what was used stays');
        $this->delete(route('lists.reasons.undo', [$list, (string) Str::uuid()]))
            ->assertSessionHas('said', 'The 0 reasons are taken back.');
    }

    public function test_a_list_of_accounts_addresses_the_first_of_each_and_says_whom_it_leaves_out(): void
    {
        $small = Account::factory()->create(['name' => 'Nobody there']);
        (new Standings)->all();
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'accounts']);
        $list->addMember($small->id);
        $list->addMember($this->account->id);
        $proposed = ListReasons::of($this->offer, $list, $this->rep);
        self::assertCount(1, $proposed->rows);
        self::assertContains(['Nobody there', 'takes no part in buying'], $proposed->leftOut);
    }

    public function test_who_is_approached_held_or_a_colleagues_is_left_out(): void
    {
        Approach::factory()->create([
            'contact_id' => $this->people[0]->id, 'account_id' => $this->account->id, 'offer_id' => $this->offer->id,
            'made_at' => now()->subDays(20),
        ]);
        Reservation::factory()->create([
            'contact_id' => $this->people[1]->id, 'account_id' => $this->account->id, 'user_id' => $this->lead->id,
            'offer_id' => $this->offer->id, 'until' => today()->addDay(),
        ]);
        $list = $this->listOf($this->people);
        $why = fn (): array => array_column(ListReasons::of($this->offer, $list, $this->rep)->leftOut, 1);
        self::assertEqualsCanonicalizing(['approached in the last 30 days', 'reserved by a colleague'], $why());
        Trial::begin($list, 1, $this->rep);
        $rows = ListReasons::of($this->offer, $list, $this->rep)->rows;
        self::assertLessThanOrEqual(1, count($rows));
        $this->post(route('lists.reasons.store', $list), ['contacts' => [$this->people[0]->id]])
            ->assertSessionHasErrors('contacts');
        $this->post(route('lists.reasons.store', $list), [])->assertSessionHasErrors('contacts');
        $this->post(route('lists.reasons.store', $list), ['contacts' => range(1, 51)])
            ->assertSessionHasErrors('contacts');
        self::assertSame(0, Reason::query()->count());
    }

    /** @param  list<Contact>  $people */
    private function listOf(array $people): KeptList
    {
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'contacts']);
        array_map(fn (Contact $one): bool => $list->addMember($one->id), $people);

        return $list;
    }
}
