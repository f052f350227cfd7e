<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\ForgetNames;
use App\Contacts\TakeContact;
use App\Contacts\Titles;
use App\Lists\RecordTags;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\Double;
use App\Models\Erasure;
use App\Models\GroupPlace;
use App\Models\IntakeKind;
use App\Models\IntakeRejection;
use App\Models\KeptList;
use App\Models\Note;
use App\Models\Position;
use App\Models\Reason;
use App\Models\Reservation;
use App\Models\Role;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\Tag;
use App\Models\TitleLesson;
use App\Models\Watch;
use App\Standings\Standings;
use App\View\Account\BuyingGroup;
use App\View\Contacts\ContactList;
use App\View\Today\Plan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Luftig\Core\Buying\Part;
use Luftig\Core\Buying\Skip;
use Tests\TestCase;

/** Titles, positions and what follows from them; the buying group; doubles, erasure, taking. */
final class PeopleTest extends TestCase
{
    private const CONTACTS = "domain;first name;last name;title;since;email;email state;earlier positions\n"
        .'tunhede.example;Pernille;Askov-Rye;Head of '
        ."Maintenance;2026-11-03;pernille@tunhede.example;valid;Maintenance Lead, Fjernlund Papir, 2019–2026\n"
        ."tunhede.example;Olav;Brekkesund;Energy Manager;2020-01-01;olav@tunhede.example;valid;\n"
        ."tunhede.example;Jannik;Hvolby;Chief Operating Officer;2019-01-01;jannik@tunhede.example;valid;\n"
        ."tunhede.example;Sofie;Lind;Marketing Manager;2019-01-01;sofie@tunhede.example;valid;\n"
        ."tunhede.example;Ida;Rye;Maintenance Planner;2019-01-01;ida@tunhede.example;unknown;\n";

    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->offer->ruleSets()->create([
            'version' => 2, 'kinds' => [], 'criteria' => $this->offer->rules->criteria,
            'buyer_roles' => [
                [
                    'name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => ['operations'],
                    'weight' => 1,
                ],
                ['name' => 'Energy', 'functions' => ['sustainability'], 'weight' => .9],
            ],
            'roles_of_interest' => [['name' => 'Planner', 'title_query' => 'planner*', 'functions' => ['maintenance']]],
        ]);
        $this->offer->refresh();
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount;country;keywords\n"
                ."tunhede.example;Glasverk Tunhede;glass;420;DK;three shifts\n"
                ."fjernlund.example;Fjernlund Papir A/S;paper;200;DK;\n",
        );
        $this->bring(IntakeKind::Contacts, self::CONTACTS);
        $this->bring(
            IntakeKind::Signals,
            "domain;kind;date;title\ntunhede.example;hiring;2026-11-20T09:00:00Z;Planners sought\n",
        );
        (new Standings)->refresh();
        $this->account = Account::query()->where('domain', 'tunhede.example')->firstOrFail();
    }

    public function test_signals_follow_the_positions_and_are_withdrawn_with_them(): void
    {
        $pernille = $this->contact('Pernille');
        self::assertSame(
            ['new_leader|2026-11-03|0.75|Pernille Askov-Rye joined as Head of Maintenance from Fjernlund Papir'],
            $this->derived(),
        );

        $this->bring(IntakeKind::Customers, "domain;customer since;customer until\nfjernlund.example;2022;\n");
        self::assertSame(
            'customer_alum|2026-11-03|1|Pernille Askov-Rye came from Fjernlund Papir, a customer',
            $this->derived()[0],
        );
        self::assertSame(
            .6,
            Signal::query()->where('kind', 'customer_alum')->sole()->confidence,
            'the customer was found by its name only',
        );

        $position = $pernille->positions()->whereNotNull('until')->sole();
        $this->actingAs($this->rep)
            ->patch(
                route('positions.update', [$pernille, $position]),
                ['title' => 'Maintenance Planner', 'company' => '', 'since' => '2019-01-01', 'until' => '2026-11-01'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['promotion|2026-11-03|0.75|Pernille Askov-Rye moved up to Head of Maintenance'],
            $this->derived(),
        );
        $this->delete(route('positions.destroy', [$pernille, $position]));
        self::assertSame([], $this->derived(), 'nobody knows where from');
        $this->post(session('undo.to'), session('undo.fields'))->assertSessionHasNoErrors();
        self::assertCount(1, $this->derived());
        $this
            ->patch(
                route(
                    'positions.update',
                    [
                        $pernille,
                        Position::query()->where('title', 'Maintenance Planner')->where('contact_id', $pernille->id)
                            ->sole(),
                    ],
                ),
                ['title' => 'X', 'since' => '2026-01-01', 'until' => '2025-01-01'],
            )
            ->assertSessionHasErrors('until');
    }

    public function test_a_signal_that_was_brought_stands_for_one_that_follows(): void
    {
        $this->bring(
            IntakeKind::Signals,
            "domain;kind;date;title;strength;person\n"
                ."tunhede.example;new_leader;2026-11-10;Pernille is here;1;pernille@tunhede.example\n",
        );
        self::assertSame([], $this->derived());
        $this->undo();
        self::assertCount(1, $this->derived());
    }

    public function test_what_follows_from_an_offers_roles_belongs_to_that_offer(): void
    {
        $other = $this->offer->replicate(['name'])->fill(['name' => 'Another']);
        $other->save();
        $other->ruleSets()->create([
            'version' => 1, 'kinds' => [], 'criteria' => [],
            'buyer_roles' => [['name' => 'Quality', 'functions' => ['quality']]], 'roles_of_interest' => [],
        ]);
        $this->bring(IntakeKind::Contacts, str_replace('pernille@', 'new@', self::CONTACTS));
        $this->patch(route('contacts.update', $this->contact('Pernille')), []);
        $this->actingAs($this->lead)->patch(
            route('contacts.update', $this->contact('Pernille')),
            ['first_name' => 'Pernille', 'city' => 'Hobro'],
        );
        (new Standings)->all();

        self::assertSame(
            [$this->offer->id],
            Signal::query()->where('kind', 'new_leader')->where('contact_id', $this->contact('Pernille')->id)
                ->pluck('offer_id')->all(),
        );
        self::assertSame(
            $other->id,
            Signal::query()->where('kind', 'leadership_change')->where('contact_id', $this->contact('Pernille')->id)
                ->value('offer_id'),
            'to the other offer it is a top position outside its roles',
        );
        $push = fn (int $offer): array => array_column(
            Standing::query()->where('offer_id', $offer)->where('account_id', $this->account->id)->sole()->lines,
            1,
        );
        self::assertContains('new_leader', $push($this->offer->id));
        self::assertNotContains('new_leader', $push($other->id));
    }

    public function test_contacts_are_ranked_with_their_part_and_the_choice_is_spread(): void
    {
        $standing = $this->standing($this->account);
        self::assertSame(['Pernille', 'Olav', 'Ida', 'Jannik', 'Sofie'], array_map(
            fn (array $row): string => Contact::query()->findOrFail($row[0])->first_name,
            $standing->contacts,
        ));
        self::assertSame(
            ['signs_off', 'shapes', 'user', 'next_door', 'next_door'],
            array_column($standing->contacts, 2),
        );
        self::assertEqualsWithDelta(.588, $standing->access, 1e-9, 'the best of those in a buyer role');

        $group = $this->group();
        self::assertSame(
            ['Pernille', 'Olav', 'Jannik', 'Ida'],
            array_map(fn ($row): string => $row->contact->first_name, $group->chosen),
            'Ida shares her function with Pernille',
        );
        self::assertSame(Skip::Below20, $group->row($this->contact('Sofie'))->skip);
        self::assertSame(['Nobody who would champion us is known.'], $group->gaps);
        self::assertSame(['their own', 'concerns their function', null], [
            $group->inFull(Signal::query()->where('kind', 'new_leader')->value('id'), $this->contact('Pernille')),
            $group->inFull(Signal::query()->where('kind', 'hiring')->value('id'), $this->contact('Ida')),
            $group->inFull(Signal::query()->where('kind', 'hiring')->value('id'), $this->contact('Olav')),
        ]);
        $rows = (new Plan($this->offer, $this->rep))->groups();
        $row = array_merge(...array_values($rows))[0];
        self::assertSame(['Pernille', 3], [$row->contact->first_name, count($row->others)]);

        $this->actingAs($this->rep)->get('/contacts')->assertOk()
            ->assertSeeTextInOrder(['Pernille Askov-Rye', 'Olav Brekkesund', 'Ida Rye']);
        $this->get('/contacts?part=signs_off')->assertSeeText('Pernille')->assertDontSeeText('Olav');
        $this->get('/contacts?q=planner')->assertSeeText('Ida')->assertDontSeeText('Olav');
        self::assertSame(
            ['' => 5, 'signs_off' => 1, 'shapes' => 1, 'champion' => 0, 'user' => 1, 'next_door' => 2],
            (new ContactList($this->offer))->counts(),
        );
        $this->get(route('contacts.show', $this->contact('Pernille')))->assertOk()->assertSeeTextInOrder([
            'Read as head, maintenance', 'new: joined from elsewhere', 'Everybody starts at', '−30.0',
            'Part in buying: Maintenance', 'concerns their function',
        ]);
    }

    public function test_pages_of_contacts_merge_accounts_in_order(): void
    {
        $rows = "domain;first name;last name;title;email;email state\n";
        foreach (['fjernlund', 'tunhede'] as $domain) {
            for ($i = 0; $i < 20; $i++) {
                $rows .= "$domain.example;P$i;".ucfirst($domain).';'
                    .['Maintenance Manager', 'Maintenance Planner', 'Plant Manager'][$i % 3].";p$i@$domain.example;"
                    .['valid', 'unknown'][$i % 2]."\n";
            }
        }
        $this->bring(IntakeKind::Contacts, $rows);
        (new Standings)->refresh();
        $list = new ContactList($this->offer);
        $all = iterator_to_array($list->rows(), false);
        $sorted = $all;
        usort($sorted, fn (array $a, array $b): int => $b[1] <=> $a[1]);

        self::assertSame(array_column($sorted, 1), array_column($all, 1));
        self::assertCount($list->counts()[''], $all);
        self::assertCount(count($all), array_unique(array_column($all, 0)));
        self::assertSame(array_slice($all, 10, 10), $list->page(2, 10));
    }

    public function test_what_was_set_by_hand_stays_over_computation_and_intake_and_is_told_apart(): void
    {
        $put = fn (string $name, array $form): TestResponse => $this->actingAs($this->rep)
            ->patch(route('group.update', [$this->account, $this->contact($name)]), $form)
            ->assertSessionHasNoErrors();
        $put('Sofie', ['part' => 'champion']);
        $put('Olav', ['part' => 'out']);
        $put('Jannik', ['part' => 'blocker', 'reports_to' => 'Pernille Askov-Rye']);
        $this
            ->patch(
                route('contacts.update', $this->contact('Ida')),
                ['first_name' => 'Ida', 'last_name' => 'Rye-Holm', 'title' => 'Maintenance Manager'],
            )
            ->assertSessionHasNoErrors();
        $this->post(route('contacts.store', $this->account), [
            'first_name' => 'Mette', 'last_name' => 'Dal', 'title' => 'Vedligeholdelseschef',
            'email' => 'mette@tunhede.example',
        ])
            ->assertSessionHasNoErrors();

        foreach ($this->brought as [$kind, $text]) {
            $this->bring($kind, $text);
        }
        (new Standings)->all();
        $group = $this->group();
        $in = fn (string $name): array => [
            $group->row($this->contact($name))?->part(),
            $group->row($this->contact($name))?->isByHand(),
        ];
        self::assertSame(
            [
                [Part::Champion, true], [null, true], [Part::Blocker, true], [Part::Shapes, false],
                [Part::SignsOff, false],
            ],
            array_map($in, ['Sofie', 'Olav', 'Jannik', 'Ida', 'Mette']),
        );
        self::assertSame(
            ['Maintenance Manager', 'Rye-Holm'],
            [$this->contact('Ida')->title, $this->contact('Ida')->last_name],
        );
        self::assertSame(
            ['Pernille', 'Mette', 'Ida'],
            array_map(fn ($row): string => $row->contact->first_name, $group->chosen),
            'neither who was taken out nor the blocker',
        );
        $this->get(route('accounts.show', $this->account))->assertOk()->assertSeeText('set by hand')
            ->assertSeeText('reports to Pernille Askov-Rye')->assertSeeText('removed by Mira');

        $put('Olav', ['part' => 'computed']);
        self::assertSame([Part::Shapes, false], [
            $this->group()->row($this->contact('Olav'))?->part(),
            $this->group()->row($this->contact('Olav'))?->isByHand(),
        ]);
        self::assertSame(0, GroupPlace::query()->where('contact_id', $this->contact('Olav')->id)->count());
        $this
            ->patch(
                route('group.update', [$this->account, $this->contact('Ida')]),
                ['reports_to' => $this->contact('Ida')->name()],
            )
            ->assertSessionHasErrors(['reports_to' => 'Nobody reports to themselves.']);
    }

    public function test_of_two_who_take_a_person_one_gets_them_and_the_other_is_told(): void
    {
        $anton = $this->person('Anton', Role::Rep);
        $pernille = $this->contact('Pernille');
        $this->actingAs($anton)->post(route('reservations.store', $pernille))->assertSessionHasNoErrors();
        $this->actingAs($this->rep)->post(route('reservations.store', $pernille))->assertSessionHasErrors(
            ['taken' => 'Pernille Askov-Rye was reserved by Anton just before you, until Tuesday 24 November.'],
        );
        self::assertSame($anton->id, Reservation::query()->sole()->user_id);
        self::assertSame(Skip::Reserved, $this->group()->row($pernille)?->skip);
        $signal = (string) Signal::query()->where('kind', 'new_leader')->value('id');
        $this->post(
            route('reasons.store', $this->account),
            ['words' => 'Hello Pernille, how do you find leaks?', 'contact' => $pernille->id, 'signals' => [$signal]],
        )
            ->assertSessionHasErrors('contact');

        $this->at('2026-11-25T09:00:00Z');
        self::assertNull(
            TakeContact::take($this->offer, $pernille, $this->rep),
            'until the end of the next working day',
        );
        $this->post(
            route('reasons.store', $this->account),
            ['words' => 'Hello Pernille, how do you find leaks?', 'contact' => $pernille->id, 'signals' => [$signal]],
        )
            ->assertSessionHasNoErrors();
        $this->post(route('approaches.store', Reason::query()->sole()), ['kind' => 'call'])->assertSessionHasNoErrors();
        self::assertSame([0, Skip::Approached], [Reservation::query()->count(), $this->group()->row($pernille)?->skip]);
    }

    public function test_a_pressed_account_is_said_to_be(): void
    {
        foreach (['Pernille', 'Olav', 'Ida', 'Sofie'] as $name) {
            Approach::factory()->create([
                'offer_id' => $this->offer->id, 'account_id' => $this->account->id,
                'contact_id' => $this->contact($name)->id, 'user_id' => $this->lead->id, 'kind' => 'email',
                'made_at' => now()->subDays(3), 'snapshot' => [],
            ]);
        }
        $group = $this->group();
        self::assertStringContainsString('4 of its people were approached in 14 days', (string) $group->pressure);
        self::assertSame([], $group->chosen);
        $planned = array_map(
            fn ($row): int => $row->standing->account_id,
            array_merge([], ...array_values((new Plan($this->offer, $this->rep))->groups())),
        );
        self::assertNotContains($this->account->id, $planned, 'and it is not planned today');
    }

    public function test_a_title_is_taught_applies_at_once_and_is_taken_back(): void
    {
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;title;email;email state\n"
                ."tunhede.example;Jana;Vrbská;Vedoucí údržby;jana@tunhede.example;valid\n",
        );
        $this->actingAs($this->rep)
            ->post(
                route('titles.store'),
                ['title' => 'Vedoucí údržby', 'seniority' => 'head', 'functions' => ['maintenance']],
            )
            ->assertForbidden();
        $this->actingAs($this->lead)->get(route('rules.edit', $this->offer))->assertOk()
            ->assertSeeText('1 contact has a title that no dictionary knows');
        $this->post(route('titles.store'), ['title' => 'Vedoucí údržby', 'seniority' => 'unknown'])
            ->assertSessionHasErrors('seniority');
        $this
            ->post(
                route('titles.store'),
                ['title' => 'vedouci udrzby', 'seniority' => 'head', 'functions' => ['maintenance']],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(Part::SignsOff, $this->group()->row($this->contact('Jana'))?->part());
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;title\nfjernlund.example;Petr;Skalný;Vedoucí údržby!\n",
        );
        self::assertSame($this->contact('Jana')->reading, $this->contact('Petr')->reading);

        $this->delete(route('titles.destroy', TitleLesson::query()->sole()));
        self::assertNull($this->group()->row($this->contact('Jana'))?->part());
    }

    public function test_rules_keep_buyer_roles_and_show_whom_they_find(): void
    {
        $form = ['version' => 2,
            'criteria' => [],
            'kinds' => collect(\Luftig\Core\Signal\Catalogue::standard()->rules)->map(fn ($rule): array => [
                'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold, 'half_life' => $rule->halfLife,
                'counts' => $rule->counts->value,
            ])
                ->all(),
            'buyer_roles' => [[
                'name' => 'Quality', 'functions' => ['quality'], 'neighbours' => ['maintenance'],
                'include' => '"chief operating"', 'weight' => '0,7', 'variants' => "DE: qs*\n",
            ]],
            'roles_of_interest' => [['name' => 'Inspector', 'title_query' => 'planners', 'functions' => ['quality']]]];
        $this->actingAs($this->lead)->post(route('rules.matches', [$this->offer, 'role' => '0']), $form)
            ->assertOk()->assertSeeTextInOrder(
                [
                    '1 contact in this role', 'Chief Operating Officer', 'Just miss it', 'Head of Maintenance',
                    'counts .40',
                ],
            );
        $this
            ->post(
                route('rules.store', $this->offer),
                array_replace_recursive($form, ['buyer_roles' => [['include' => '(a']]]),
            )
            ->assertSessionHasErrors(
                ['rules' => '“Quality”: A parenthesis opens here and is not closed. (at character 1)'],
            );
        $this->post(route('rules.store', $this->offer), $form)->assertSessionHasNoErrors();

        self::assertSame(
            [
                'name' => 'Quality', 'functions' => ['quality'], 'neighbours' => ['maintenance'],
                'include' => '"chief operating"', 'exclude' => '', 'weight' => .7, 'variants' => ['DE' => 'qs*'],
            ],
            array_replace(
                [
                    'name' => 0, 'functions' => 0, 'neighbours' => 0, 'include' => 0, 'exclude' => 0, 'weight' => 0,
                    'variants' => 0,
                ],
                $this->offer->refresh()->rules->buyer_roles[0],
            ),
        );
        self::assertSame(
            ['leadership_change'],
            array_map(fn (string $line): string => strtok($line, '|'), $this->derived()),
            'what follows from positions follows the roles',
        );
        self::assertSame(
            \Luftig\Core\Person\BusinessFunction::Quality->bit(),
            Signal::query()->where('kind', 'hiring')->sole()->concerns,
        );
        self::assertSame(
            'Jannik',
            Contact::query()->findOrFail($this->standing($this->account)->contacts[0][0])->first_name,
        );
    }

    public function test_accounts_of_one_name_are_decided_merged_and_taken_apart(): void
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;revenue;country\ntunhede-glas.example;GLASVERK TUNHEDE A/S;EUR 80 Mio;DK\n"
                ."tunhede-se.example;Glasverk Tunhede AB;;SE\n",
        );
        $this->bring(
            IntakeKind::Contacts,
            "domain;name;title\ntunhede-glas.example;Troels Bremerdal;Maintenance Planner\n",
        );
        $this->bring(
            IntakeKind::Signals,
            "domain;kind;date;title\ntunhede-glas.example;expansion;2026-11-20;Fourth line\n",
        );
        (new Standings)->refresh();
        $pair = Double::query()->sole();
        $other = Account::query()->where('domain', 'tunhede-glas.example')->sole();
        self::assertSame([$this->account->id, $other->id], [$pair->first_id, $pair->second_id]);
        $before = $this->everything();

        $this->actingAs($this->rep)->get('/intake')->assertOk()
            ->assertSeeText('The names are equal without legal forms.');
        $this->patch(route('doubles.update', $pair), ['decision' => 'same'])->assertSessionHasNoErrors();
        $this->patch(route('doubles.update', $pair), ['decision' => 'same'])->assertSessionHasErrors('decision');
        self::assertSame(
            [$this->account->id, 80_000_000.0],
            [$this->contact('Troels')->account_id, $this->account->refresh()->revenue],
        );
        self::assertContains('expansion', array_column($this->standing($this->account)->lines, 1));
        self::assertSame(0, Standing::query()->where('account_id', $other->id)->count());
        $this->get(route('accounts.show', $other))->assertRedirect(route('accounts.show', $this->account));
        $this->bring(IntakeKind::Signals, "domain;kind;date;title\ntunhede-glas.example;news;2026-11-21;Named\n");
        self::assertSame(
            $this->account->id,
            Signal::query()->where('kind', 'news')->sole()->account_id,
            'what comes in for the merged one is of the kept one',
        );
        Signal::query()->where('kind', 'news')->delete();
        $intake = $this->bring(
            IntakeKind::Accounts,
            "domain;name;headcount;founded\ntunhede.example;Glasverk Tunhede;430;\n"
                ."tunhede-glas.example;Tunhede Glas;;1961\n",
        );
        self::assertSame([0, 2], [$intake->created, $intake->updated]);
        self::assertSame(
            ['Glasverk Tunhede', 430, 1961],
            array_values($this->account->refresh()->only('name', 'headcount', 'founded')),
            'a file tells the kept one, not the hidden one',
        );
        self::assertNull($other->refresh()->founded);
        $this->actingAs($this->rep)->post(route('intake.undo', $intake))->assertRedirect();
        self::assertNull($this->account->refresh()->founded);
        $this->actingAs($this->lead);

        $this->delete(route('doubles.destroy', $pair))->assertSessionHasNoErrors();
        self::assertEquals($before, $this->everything());
        self::assertSame('open', $pair->refresh()->state);
        $this->patch(route('doubles.update', $pair), ['decision' => 'separate']);
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede-glas.example;Glasverk Tunhede A/S\n");
        self::assertSame('separate', $pair->refresh()->state, 'a decision is kept');
    }

    public function test_people_of_one_name_and_other_addresses_are_doubtful_and_may_be_one(): void
    {
        $visitors = "domain;first name;last name;title;email\n"
            ."tunhede.example;Pernille;Askov Rye;CTO;p.a@tunhede.example\n";
        $this->bring(IntakeKind::Contacts, $visitors);
        self::assertSame([0, 0, 1], array_values(
            $this->bring(IntakeKind::Contacts, $visitors)->only('created', 'updated', 'unchanged'),
        ));
        $pair = Double::query()->where('record', 'contact')->sole();
        [$fair, $spring] = array_map(
            fn (string $name): Tag => Tag::factory()->create(['name' => $name]),
            ['fair', 'spring'],
        );
        RecordTags::put($fair, 'contacts', [$pair->first_id, $pair->second_id], $this->rep);
        RecordTags::put($spring, 'contacts', [$pair->second_id], $this->rep);
        $list = KeptList::factory()->create([
            'offer_id' => $this->offer->id, 'name' => 'Fair', 'subject' => 'contacts', 'search' => 'on=contacts',
            'user_id' => $this->rep->id,
        ]);
        DB::table('list_members')
            ->insert(['list_id' => $list->id, 'record_id' => $pair->second_id, 'position' => 0, 'fits' => 1]);
        $this->actingAs($this->rep)->patch(route('doubles.update', $pair), ['decision' => 'same'])
            ->assertSessionHasNoErrors();

        $pernille = Contact::query()->findOrFail($pair->first_id);
        self::assertSame(
            ['fair', 'spring'],
            RecordTags::of('contacts', $pernille->id)->pluck('name')->all(),
            'tags move along',
        );
        self::assertSame(
            [$pernille->id, 1],
            [$list->members()->sole()->record_id, $list->members()->sole()->fits],
            'and the place on a list, with what was judged',
        );
        self::assertSame(
            ['p.a@tunhede.example', 'pernille@tunhede.example'],
            $pernille->channels()->orderBy('value')->pluck('value')->all(),
        );
        self::assertSame(5, $this->account->contacts()->count());
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;email;email state\n"
                ."tunhede.example;Pernille;Askov Rye;p.a@tunhede.example;valid\n",
        );
        self::assertSame('valid', $pernille->channels()->where('value', 'p.a@tunhede.example')->sole()->state->value);
        $this->get(route('contacts.show', $pair->second_id))->assertRedirect(route('contacts.show', $pair->first_id));
        $this->delete(route('doubles.destroy', $pair));
        self::assertSame(6, $this->account->contacts()->count());
        self::assertSame($pair->second_id, $list->members()->sole()->record_id);
        self::assertSame([['fair'], ['fair', 'spring']], array_map(
            fn (int $id): array => RecordTags::of('contacts', $id)->pluck('name')->all(),
            [$pair->first_id, $pair->second_id],
        ));
    }

    public function test_an_erased_person_is_gone_and_does_not_come_back(): void
    {
        $pernille = $this->contact('Pernille');
        $signal = (string) Signal::query()->where('kind', 'new_leader')->value('id');
        $this->actingAs($this->rep)->post(
            route('reasons.store', $this->account),
            ['words' => 'Hello Pernille, how do you find leaks?', 'contact' => $pernille->id, 'signals' => [$signal]],
        );
        Note::factory()->create([
            'account_id' => $this->account->id,
            'user_id' => $this->rep->id,
            'text' => 'Met Pernille Askov-Rye at the fair.',
        ]);
        $this->get(route('contacts.known', $pernille))->assertOk()
            ->assertJsonPath('channels.0.value', 'pernille@tunhede.example')
            ->assertJsonPath('signals.0.kind', 'new_leader');
        $this->post(route('finder.keep'), ['name' => 'All', 'on' => 'contacts', 'c' => ['']])
            ->assertSessionHasNoErrors();
        foreach (['contacts' => $pernille->id, 'accounts' => $this->account->id] as $subject => $id) {
            $this->post(route('watches.store'), [
                'name' => $subject, 'on' => $subject, 'c' => [['f' => 'country', 'v' => 'SE']], 'rhythm' => 'daily',
                'hour' => '6', 'time_zone' => 'UTC',
            ])
                ->assertSessionHasNoErrors();
            DB::table('watch_finds')->insert([
                'watch_id' => Watch::query()->where('name', $subject)->value('id'),
                'record_id' => $id,
                'why' => 'new signal: Pernille Askov-Rye joined as Head of Maintenance',
                'found_at' => now(),
            ]);
        }
        $this
            ->post(
                route('finder.keep'),
                ['name' => 'Asked for', 'on' => 'contacts', 'c' => [
                    ['f' => 'about', 'q' => '"Pernille Askov-Rye" OR leaks', 'x' => '1'],
                    ['f' => 'domain', 'x' => '1', 'v' => implode(
                        "\n",
                        [
                            ...array_map(fn (int $i): string => "firm$i.example", range(1, 80)),
                            'pernille@tunhede.example',
                            'last.example',
                        ],
                    )],
                ]],
            )
            ->assertSessionHasNoErrors();
        $this->delete(route('contacts.erase', $pernille), ['sure' => 'Pernille Askov-Rye'])->assertForbidden();
        $this->actingAs($this->lead)->delete(route('contacts.erase', $pernille), ['sure' => 'Pernille'])
            ->assertSessionHasErrors('sure');
        $this->delete(route('contacts.erase', $pernille), ['sure' => 'pernille askov-rye'])->assertSessionHasNoErrors();

        foreach (DB::select('SHOW TABLES') as $table) {
            $name = array_values((array) $table)[0];
            $text = json_encode(DB::table($name)->get(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES) ?: '';
            self::assertStringNotContainsStringIgnoringCase('askov', $text, $name);
            self::assertStringNotContainsStringIgnoringCase('pernille', $text, $name);
        }
        self::assertMatchesRegularExpression(
            '/firm80\.example\s+last\.example$/',
            (string) DB::table('pasted')->sole()->text,
        );
        self::assertSame(
            [4, 1],
            [DB::table('list_members')->count(), DB::table('watch_finds')->count()],
            'off the list, out of the watch',
        );
        $again = $this->bring(IntakeKind::Contacts, self::CONTACTS);
        self::assertSame([0, 1, 4], [$again->created, $again->rejected, $again->unchanged]);
        self::assertSame(
            'This person asked to be erased, and is not brought in again.',
            $again->rejections()->sole()->reason,
        );
        $other = $this
            ->bring(IntakeKind::Contacts, "domain;name;email\nfjernlund.example;P. Rye;PERNILLE@tunhede.example\n");
        self::assertSame(1, $other->rejected, 'by the address as well');
        self::assertGreaterThan(0, Erasure::query()->count());
    }

    public function test_with_logging_on_nothing_of_an_erased_person_is_left_and_no_other_word_is_hurt(): void
    {
        activity()->enableLogging();
        $brought = "domain;first name;last name;title;email;profile;about\n"
            ."tunhede.example;Åsa;Læ;%s;asa@tunhede.example;https://profiles.example/in/åsa;Writes on leaks\n";
        $this->bring(IntakeKind::Contacts, sprintf($brought, 'Planner'));
        $this->bring(IntakeKind::Contacts, sprintf($brought, 'Production Planner'));
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;email\n;Åsa;Læ;\nnowhere;Læ, Åsa;;asa@tunhede.example\n",
        );
        $this->bring(IntakeKind::Relations, "name;domain\nÅsa Læ;tunhede.example\nÅsa Læ;fjernlund.example\n");
        $asa = $this->contact('Åsa');
        $signal = Signal::query()->where('kind', 'new_leader')->sole();
        $signal->update(['title' => 'Pernille follows Åsa Læ', 'quote' => 'Thank you, ÅSA LÆ! Åsa Lælund stays.']);
        $this->actingAs($this->lead)
            ->post(
                route('reasons.store', $this->account),
                ['words' => 'Hello Åsa, åsaurus is no word.', 'contact' => $asa->id, 'signals' => [
                    (string) $signal->id,
                ]],
            )
            ->assertSessionHasNoErrors();
        $this->post(route('reasons.store', $this->account), [
            'words' => 'Hello Pernille, you follow Åsa Læ as a leader.',
            'contact' => $this->contact('Pernille')->id,
            'signals' => [(string) $signal->id],
        ])
            ->assertSessionHasNoErrors();
        $this->post(route('keep-out.store'), ['contact' => $asa->id, 'reason' => 'Åsa Læ said so'])
            ->assertSessionHasNoErrors();
        $this
            ->patch(
                route('contacts.update', $asa),
                ['first_name' => 'Åsa', 'last_name' => 'Læ', 'title' => 'Head of Planning'],
            )
            ->assertSessionHasNoErrors();
        $this->delete(route('contacts.erase', $asa), ['sure' => 'Åsa Læ'])->assertSessionHasNoErrors();

        foreach (DB::select('SHOW TABLES') as $table) {
            $name = array_values((array) $table)[0];
            $text = json_encode(
                DB::table($name)->get()->map(fn ($row): array => array_map(
                    fn (mixed $value): mixed => is_string($value) ? (json_decode($value, true) ?? $value) : $value,
                    (array) $row,
                )),
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
            )
                ?: '';
            if ($name !== 'relations') {
                self::assertDoesNotMatchRegularExpression('~åsa læ\b|"Åsa"|"Læ"|asa@tunhede|in/åsa~iu', $text, $name);
            }
        }
        self::assertSame(
            ['fjernlund.example'],
            DB::table('relations')->pluck('domain')->all(),
            'somebody of the same name elsewhere stays',
        );
        self::assertSame(
            ['Pernille follows an erased person', 'Thank you, an erased person! Åsa Lælund stays.'],
            array_values($signal->refresh()->only('title', 'quote')),
        );
        self::assertSame(
            ['Hello …, åsaurus is no word.', 'Hello Pernille, you follow an erased person as a leader.'],
            Reason::query()->orderBy('id')->pluck('words')->all(),
        );
        foreach (Reason::query()->get() as $reason) {
            $this->get(route('reasons.show', $reason))->assertOk()->assertDontSeeText('Åsa Læ ');
        }
    }

    public function test_the_ledger_of_others_stays_when_a_short_name_is_erased(): void
    {
        $brought = fn (string $lea, string $lind): string => "domain;first name;last name;title\n"
            ."tunhede.example;Lea;;$lea\ntunhede.example;Bo;Lind;$lind\n";
        $this->bring(IntakeKind::Contacts, $brought('Planner', 'Team Leader'));
        $this->bring(IntakeKind::Contacts, $brought('Buyer', 'Leading Hand'));
        $this->bring(IntakeKind::Contacts, "domain;name\nnowhere;Bo Leander\nnowhere;Lea\n");
        $changes = fn (): array => DB::table('intake_changes')->whereNotNull('before')->pluck('before')->all();
        $before = $changes();
        $this->actingAs($this->lead)
            ->post(route('notes.store', $this->account), ['_once' => 'one', 'text' => 'Met Lea.']);
        $this->delete(route('contacts.erase', $this->contact('Lea')), ['sure' => 'Lea'])->assertSessionHasNoErrors();
        self::assertSame(
            array_values((array) preg_grep('/Team Leader/', $before)),
            array_values((array) preg_grep('/Team Leader/', $changes())),
        );
        self::assertNotSame([], preg_grep('/Team Leader/', $changes()));
        self::assertSame(
            [['nowhere', 'Bo Leander']],
            IntakeRejection::query()->get()->map(fn (IntakeRejection $one): array => $one->row)->all(),
        );
        self::assertSame(
            ['Met an erased person.', 0],
            [Note::query()->value('text'), DB::table('submissions')->count()],
        );
    }

    public function test_a_first_name_within_another_word_stays(): void
    {
        self::assertSame(
            'A new_leader and a pleasant …, twice …',
            ForgetNames::without('A new_leader and a pleasant Lea, twice LEA', ['Lea'], '…'),
        );
        self::assertSame('nothing', ForgetNames::without('nothing', ['']));
        self::assertSame(
            '… and …',
            ForgetNames::without('Lea Lind and Lea', ['Lea', 'Lea Lind'], '…'),
            'the longest first',
        );
    }

    public function test_whoever_looks_for_a_common_name_is_told_that_not_all_were_looked_at(): void
    {
        $this->actingAs($this->rep)->get(route('contacts.index', ['q' => 'Planner']))->assertOk()
            ->assertDontSeeText('only that many');
        $account = $this->account->id;
        $rows = array_map(fn (int $i): array => [
            'account_id' => $account, 'first_name' => "Planner $i", 'last_name' => 'Lie',
            'title' => 'Head of Maintenance',
            'reading' => (new Titles)->read('Head of Maintenance', null, 100),
        ], range(1, 2001));
        foreach (array_chunk($rows, 500) as $some) {
            DB::table('contacts')->insert($some);
        }
        app(Standings::class)->all();
        $this->get(route('contacts.index', ['q' => 'Planner']))->assertOk()
            ->assertSeeText('More than 2,000 contacts are');
    }

    public function test_everybody_is_listed_once_whatever_their_priority(): void
    {
        // Two hundred and fifty accounts with the same best contact: a page of standings ends among equals.
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount\n".implode('', array_map(
            fn (int $i): string => "e$i.example;Equal $i;glass;100\n",
            range(1, 250),
        )));
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title\n".implode('', array_map(
            fn (int $i): string => "e$i.example;Ada;Equal $i;Head of Maintenance\n",
            range(1, 250),
        )));
        app(Standings::class)->all();
        $ids = array_column(iterator_to_array((new ContactList($this->offer))->rows(), false), 0);
        self::assertSame(count(array_unique($ids)), count($ids));
        self::assertSame(
            250,
            Contact::query()->whereIn('id', $ids)->where('first_name', 'Ada')->count(),
        );
    }

    public function test_contacts_go_out_and_come_in_as_cards_and_csv(): void
    {
        $card = $this->actingAs($this->rep)->get(route('contacts.card', $this->contact('Pernille')))->assertOk()
            ->getContent();
        self::assertStringContainsString("VERSION:4.0\r\n", (string) $card);
        self::assertStringContainsString("FN:Pernille Askov-Rye\r\n", (string) $card);
        $all = $this->get('/contacts.vcf')->streamedContent();
        self::assertSame(5, substr_count($all, 'BEGIN:VCARD'));
        $csv = $this->get('/contacts.csv?part=signs_off')->streamedContent();
        self::assertStringContainsString(
            '"signs off";Pernille;Askov-Rye;"Head of Maintenance";"head, maintenance"',
            $csv,
        );

        $again = $this->bring(IntakeKind::Contacts, $all);
        self::assertSame(
            [0, 0, 5],
            [$again->created, $again->updated, $again->unchanged],
            'what went out comes in unchanged',
        );
        $older = $this->bring(
            IntakeKind::Contacts,
            "BEGIN:VCARD\r\nVERSION:3.0\r\nN:Høj;Mette;;;\r\nFN:Mette Høj\r\nTITLE:Energichef\r\n"
                ."EMAIL;TYPE=WORK:mette@fjernlund.example\r\nTEL;TYPE=CELL:+45 32 10 00 01\r\nEND:VCARD\r\n",
        );
        self::assertSame(1, $older->created);
        self::assertSame(
            ['Energichef', 'fjernlund.example'],
            [$this->contact('Mette')->title, $this->contact('Mette')->account->domain],
        );
        $this->post(route('intake.store'), [
            'file' => \Illuminate\Http\UploadedFile::fake()
                ->createWithContent('x.vcf', "BEGIN:VCARD\nVERSION:4.0\nFN:A\n"),
        ])
            ->assertSessionHasErrors('file');
    }

    private function contact(string $first): Contact
    {
        return Contact::query()->where('first_name', $first)->whereNull('merged_into')->orderBy('id')->firstOrFail();
    }

    private function group(): BuyingGroup
    {
        return BuyingGroup::of($this->offer, $this->account->refresh(), $this->standing($this->account), $this->rep);
    }

    /** @return list<string> */
    private function derived(): array
    {
        return Signal::query()->where('derived', true)
            ->orderBy('kind')
            ->get()
            ->map(
                fn (Signal $signal): string => implode('|', [
                    $signal->kind->value, $signal->occurred_at->toDateString(), $signal->strength, $signal->title,
                ]),
            )
            ->all();
    }

    private function undo(): void
    {
        (new \App\Intake\Importer)->undo(\App\Models\Intake::query()->latest('id')->firstOrFail());
    }

    /** @return array<string, mixed> what belongs to whom */
    private function everything(): array
    {
        return [
            'accounts' => DB::table('accounts')->orderBy('id')->get(['id', 'revenue', 'headcount', 'merged_into'])
                ->all(),
            'contacts' => DB::table('contacts')->orderBy('id')->get(['id', 'account_id', 'reading'])->all(),
            'signals' => DB::table('signals')->orderBy('kind')->orderBy('title')->get(['account_id', 'kind', 'title'])
                ->all(),
            'standings' => DB::table('standings')->orderBy('account_id')->get(['account_id', 'state', 'points'])->all(),
        ];
    }
}
