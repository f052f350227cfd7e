<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\GroupPlace;
use App\Models\KeepOut;
use App\Models\Place;
use App\Models\Reservation;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\TitleLesson;
use App\Standings\Standings;
use App\View\Contacts\ContactList;
use App\View\Contacts\ContactPage;
use App\View\Contacts\ContactsPage;
use App\View\PointLine;
use App\View\Tab;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\Part;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What the list of contacts and the page of one say. */
final class ContactViewTest extends TestCase
{
    public function test_people_of_all_accounts_are_merged_in_their_order(): void
    {
        $this->account(StandingState::Ranked, [[60.0, 'signs_off'], [20.0, 'user'], [20.0, 'user']]);
        $this->account(StandingState::Waiting, [[55.0, 'shapes'], [12.0, 'next_door']]);
        $this->account(StandingState::Out, [[99.0, 'signs_off']]);
        $this->account(StandingState::Ranked, []);
        $list = new ContactList($this->offer);
        self::assertSame([60.0, 55.0, 20.0, 20.0, 12.0], array_column($list->page(1, 25), 1));
        self::assertSame([20.0, 20.0], array_column($list->page(2, 2), 1));
        self::assertSame([12.0], array_column($list->page(3, 2), 1));
        self::assertSame([], $list->page(4, 2));
        $twenties = array_column(array_slice($list->page(1, 25), 2, 2), 0);
        self::assertSame([min($twenties), max($twenties)], $twenties, 'of the same priority who came first');
        self::assertSame([
            '' => 5, 'signs_off' => 1, 'shapes' => 1, 'champion' => 0, 'user' => 2, 'next_door' => 1,
        ], $list->counts());
        self::assertSame([20.0, 20.0], array_column((new ContactList($this->offer, Part::User))->page(1, 25), 1));
    }

    public function test_names_and_titles_are_searched_word_by_word(): void
    {
        $account = $this->account(StandingState::Ranked, [[60.0, 'shapes'], [50.0, 'user'], [40.0, 'user']]);
        [$ida, $olav, $maren] = Contact::query()->where('account_id', $account->id)->orderBy('id')->get()->all();
        $ida->update(['first_name' => 'Ida', 'last_name' => 'Lie', 'title' => 'Head of Maintenance']);
        $olav->update(['first_name' => 'Olav', 'last_name' => 'Lindahl', 'title' => 'Planner']);
        $maren->update(['first_name' => 'Maren', 'last_name' => 'Berg', 'title' => '100% Planner']);
        $found = fn (string $search): array => array_column(
            ContactList::from($this->offer, ['q' => $search])->page(1, 25), 0,
        );
        self::assertSame([$ida->id, $olav->id], $found('li'));
        self::assertSame([$ida->id], $found('ida li'));
        self::assertSame([$olav->id, $maren->id], $found('planner'));
        self::assertSame([$olav->id], $found('lind plan'));
        self::assertSame([$maren->id], $found('100%'));
        self::assertSame([], $found('nobody'));
        self::assertSame(
            ['' => 2, 'signs_off' => 0, 'shapes' => 1, 'champion' => 0, 'user' => 1, 'next_door' => 0],
            ContactList::from($this->offer, ['q' => 'li'])->counts(),
        );
        $maren->update(['merged_into' => $ida->id]);
        self::assertSame([$olav->id], $found('planner'), 'who was merged is not found');
    }

    public function test_an_address_says_part_and_search_and_nonsense_says_nothing(): void
    {
        self::assertSame(
            ['part' => 'user', 'q' => 'ida'],
            ContactList::from($this->offer, ['part' => 'user', 'q' => ' ida '])->parameters(),
        );
        self::assertSame([], ContactList::from($this->offer, ['part' => ['user'], 'q' => ['x']])->parameters());
        self::assertSame(100, mb_strlen(ContactList::from($this->offer, ['q' => str_repeat('å', 120)])->search));
        self::assertFalse(ContactList::from($this->offer, ['q' => 'ida'])->isCut());
    }

    public function test_a_row_says_who_where_and_how(): void
    {
        $account = $this->account(StandingState::Ranked, [[60.4, 'shapes'], [50.0, 'user']]);
        $account->update(['name' => 'Glasverk']);
        Place::factory()->create(['account_id' => $account->id]);
        [$ida, $olav] = Contact::query()->orderBy('id')->get()->all();
        Channel::factory()->create(['contact_id' => $ida->id]);
        KeepOut::factory()->create(['type' => 'contact', 'contact_id' => $olav->id, 'value' => 'Olav']);
        $page = ContactsPage::of($this->offer, [], 1);
        [$first, $second] = $page->rows();
        self::assertSame(
            ['60', 'shapes', 'Hobro · priority 69', 'e-mail, checked', false, null],
            [
                $first['priority'], $first['part'], $first['about'], $first['way'], $first['isBarred'], $first['line'],
            ],
        );
        self::assertSame(['kept out', true], [$second['way'], $second['isBarred']]);
        self::assertSame(
            [['All', '2', true], ['Signs off', '0', false], ['Shapes', '1', false]],
            array_map(
                fn (Tab $tab): array => [$tab->label, $tab->count, $tab->current],
                array_slice($page->tabs(), 0, 3),
            ),
        );
        self::assertSame([false, false, '2,000'], [$page->isEmpty(), $page->hasRoles(), $page->most()]);
        Standing::query()->update(['state' => StandingState::Waiting, 'priority' => null]);
        self::assertSame('Hobro · waiting', ContactsPage::of($this->offer, [], 1)->rows()[0]['about']);
        self::assertTrue(ContactsPage::of($this->offer, ['q' => 'nobody'], 1)->isEmpty());
    }

    public function test_a_contact_says_what_is_known_and_from_where(): void
    {
        $contact = Contact::factory()->create([
            'account_id' => Account::factory()->create(['name' => 'Glasverk']), 'title' => 'Head of Maintenance',
            'city' => 'Hobro', 'country' => 'DK', 'about' => 'Twenty years of air.', 'interests' => 'leaks',
            'profile' => 'people.example/ida', 'source' => 'a fair', 'seen_at' => '2026-11-20',
            'by_hand' => ['first_name', 'title'],
        ]);
        foreach ([['language', 'German'], ['language', 'Danish'], ['school', 'Aalborg']] as [$kind, $name]) {
            DB::table('affiliations')->insert(['contact_id' => $contact->id, 'kind' => $kind, 'name' => $name]);
        }
        $contact->positions()->create([
            'account_id' => $contact->account_id, 'title' => 'Head of Maintenance', 'since' => '2026-09-01',
        ]);
        $contact->positions()->create([
            'company' => 'Fjernlund Papir', 'title' => null, 'since' => '2019-03-01', 'until' => '2026-08-31',
        ]);
        $page = $this->page($contact);
        self::assertSame('2 months in the position · 2 months in the company · Hobro', $page->about());
        self::assertSame([
            'About' => 'Twenty years of air.', 'Interests' => 'leaks', 'Profile' => 'people.example/ida',
            'Country' => 'DK', 'Languages' => 'Danish, German', 'Schools' => 'Aalborg',
            'Source' => 'a fair, seen 20 November 2026', 'Set by hand' => 'first name, title',
        ], $page->facts());
        $told = array_map(
            fn (array $one): array => [$one['months'], $one['title'], $one['company']],
            $page->positions(),
        );
        self::assertEqualsCanonicalizing([
            ['Sep 2026 – now', 'Head of Maintenance', 'Glasverk'],
            ['Mar 2019 – Aug 2026', 'title unknown', 'Fjernlund Papir'],
        ], $told);
        self::assertSame(['First name', 100], $page->correctable()['first_name']);
    }

    public function test_channels_are_told_with_their_state_and_worth(): void
    {
        $contact = Contact::factory()->create();
        $channel = fn (array $columns): Channel => Channel::factory()
            ->create(['contact_id' => $contact->id] + $columns);
        $channel(['value' => 'a@x.example', 'state' => 'valid']);
        $channel(['value' => 'b@x.example', 'state' => 'invalid']);
        $channel(['value' => 'c@x.example', 'state' => 'catch_all']);
        $channel(['type' => 'direct_phone', 'value' => '+46 31 390 06 00', 'state' => 'unknown']);
        $channel(['type' => 'social', 'value' => 'social', 'state' => 'unknown', 'active_at' => '2026-11-20']);
        KeepOut::factory()->create(['type' => 'address', 'value' => 'c@x.example', 'reason' => 'said so']);
        $of = array_column(array_map(
            fn (array $one): array => [$one['value'], [$one['about'], $one['worth']]],
            $this->page($contact)->channels(),
        ), 1, 0);
        self::assertSame([
            'a@x.example' => ['e-mail, checked', '.59'], 'b@x.example' => ['e-mail, dead', '.00'],
            'c@x.example' => ['e-mail, catch-all · kept out: said so', '.00'],
            '+46 31 390 06 00' => ['direct phone, landline', '.50'], 'social' => ['social, active 3 days ago', '.20'],
        ], $of);
    }

    /** @return array<string, array{string|null, string, string}> title, what is read, why they take no part */
    public static function titles(): array
    {
        return [
            'none' => [null, 'Read as', 'By the rules this title takes no part in buying.'],
            'unreadable' => [
                'Zyx', 'Read as',
                'By the rules this title takes no part in buying, because it cannot be read.',
            ],
        ];
    }

    #[DataProvider('titles')]
    public function test_why_a_title_takes_no_part(?string $title, string $reads, string $why): void
    {
        $page = $this->page(Contact::factory()->create(['title' => $title, 'reading' => 0]));
        self::assertStringStartsWith($reads, $page->readAs());
        self::assertSame([$why, 'no part', 'part in buying', null, null], [
            $page->whyNot(), $page->part(), $page->partBy(), $page->isOut(), $page->heldBy(),
        ]);
    }

    public function test_whose_hand_changed_what_is_said(): void
    {
        $account = $this->tunhede();
        $contact = $account->contacts()->firstOrFail();
        $this->offer->rules->update(['buyer_roles' => [
            ['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => [], 'weight' => 1],
        ]]);
        Account::query()->update(['stale' => true]);
        (new Standings)->refresh();
        self::assertSame(['signs off', 'part in buying'], [
            $this->page($contact)->part(), $this->page($contact)->partBy(),
        ]);
        $place = GroupPlace::query()->create([
            'offer_id' => $this->offer->id, 'account_id' => $account->id, 'contact_id' => $contact->id,
            'part' => 'blocker', 'user_id' => $this->lead->id, 'removed' => false,
        ]);
        self::assertSame(['blocker', 'set by hand; the rules say signs off'], [
            $this->page($contact)->part(), $this->page($contact)->partBy(),
        ]);
        self::assertSame('marked as a blocker', $this->page($contact)->row?->why());
        $place->update(['part' => null, 'removed' => true]);
        self::assertSame(['no part', 'Removed from the buying group by hand.'], [
            $this->page($contact)->part(), $this->page($contact)->whyNot(),
        ]);
        self::assertSame('removed by Ylva', $this->page($contact)->row?->why());
        TitleLesson::factory()->create(['title' => 'Head of Maintenance', 'user_id' => $this->lead->id]);
        self::assertStringEndsWith(', as Ylva taught it', $this->page($contact)->readAs());
        self::assertSame([false, true], [
            $this->page($contact)->mayTeach(),
            ContactPage::of($this->offer->refresh(), $contact->refresh(), $this->lead)->mayTeach(),
        ]);
    }

    public function test_who_holds_somebody_is_said_to_others_only(): void
    {
        $account = $this->tunhede();
        $contact = $account->contacts()->firstOrFail();
        Reservation::factory()->create([
            'contact_id' => $contact->id, 'account_id' => $account->id, 'offer_id' => $this->offer->id,
            'user_id' => $this->lead->id, 'until' => '2026-11-25',
        ]);
        self::assertSame([false, 'reserved by Ylva until 25 November'], [
            $this->page($contact)->isMine(), $this->page($contact)->heldBy(),
        ]);
        $own = ContactPage::of($this->offer->refresh(), $contact->refresh(), $this->lead);
        self::assertSame([true, null], [$own->isMine(), $own->heldBy()]);
    }

    public function test_points_of_a_contact_are_told_line_by_line(): void
    {
        $account = $this->tunhede();
        $this->offer->rules->update(['buyer_roles' => [
            ['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => [], 'weight' => 1],
        ]]);
        Account::query()->update(['stale' => true]);
        (new Standings)->refresh();
        $points = $this->page($account->contacts()->firstOrFail())->points;
        $lines = $points?->lines() ?? [];
        // Role √(.75 · .85); their own new position .55 in full, the rest half; access .588.
        self::assertSame(
            [
                ['Everybody starts at', '−30.0'], ['Part in buying: Maintenance', '+20.0'],
                ['What happened there', '+16.7'], ['Can be reached', '+8.8'],
            ],
            array_map(fn (PointLine $line): array => [$line->label, $line->points], $lines),
        );
        self::assertSame([
            ['weight of Maintenance', '', '1.00'], ['function match', 'in the role', '1.00'],
            ['√(authority .75 × accessibility .85)', 'head, 420 heads', '.80'],
        ], $lines[1]->made);
        self::assertSame(['Pernille joined', 'their own', '.55'], $lines[2]->made[0]);
        self::assertContains(['Round B', 'half', '.13'], $lines[2]->made);
        self::assertSame('+15.5', $points?->total());
    }

    /** @param  list<array{float, string}>  $people  priority and part */
    private function account(StandingState $state, array $people): Account
    {
        $account = Account::factory()->create();
        $rows = array_map(
            fn (array $one): array => [Contact::factory()->create(['account_id' => $account->id])->id, ...$one],
            $people,
        );
        $parts = array_count_values(array_column($people, 1));
        Standing::factory()->create($parts + [
            'account_id' => $account->id, 'offer_id' => $this->offer->id, 'state' => $state, 'contacts' => $rows,
            'best_contact' => $people[0][0] ?? null,
        ]);

        return $account;
    }

    private function page(Contact $contact): ContactPage
    {
        return ContactPage::of($this->offer->refresh(), $contact->refresh(), $this->rep);
    }
}
