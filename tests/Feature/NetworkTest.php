<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\EraseContact;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\Relation;
use App\Models\Station;
use App\Models\User;
use App\Network\AcquaintanceSpread;
use App\Standings\Standings;
use App\Support\AccountIds;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Who knows whom: address books, what people share, and whom we reach through them. */
final class NetworkTest extends TestCase
{
    private User $greta;

    private User $anton;

    protected function setUp(): void
    {
        parent::setUp();
        $this->greta = User::factory()->create(['name' => 'Greta Nystierna', 'role' => 'rep', 'signs_in' => false]);
        $this->anton = $this->person('Anton', $this->rep->role);
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount\ntunhede.example;Glasverk Tunhede;glass;420\n"
                ."sverkhult.example;Papir Sverkhult;paper;60\nostholz.example;Ostholz Platten;wood panels;600\n",
        );
        $this->bring(IntakeKind::Contacts,
            "domain;first name;last name;title;since;email;schools;associations;earlier positions\n"
                .'tunhede.example;Pernille;Rye;Head of Maintenance;2024-01-01;pernille@tunhede.example;Kråkvik '
                ."skola;;Planner, Fjernlund Papir, 2019–2022\n"
                ."tunhede.example;Olav;Brekke;Plant Manager;2015-01-01;olav@tunhede.example;;;\n"
                .'sverkhult.example;Ida;Lie;Maintenance Planner;2023-01-01;ida@sverkhult.example;;Air '
                ."Circle;Planner, Fjernlund Papir, 2020–2022\n"
                .'ostholz.example;Maren;Uhl;Managing Director;2001-01-01;maren@ostholz.example;Kråkvik skola;Air '
                ."Circle;\n"
                ."ostholz.example;Lena;Quast;Planner;2022-01-01;;;;Planner, sverkhult.example, 1/2001–12/2005\n");
        (new Standings)->refresh();
    }

    public function test_an_address_book_comes_in_by_table_and_is_tied_to_contacts_also_to_those_who_come_later(): void
    {
        $intake = $this->bring(IntakeKind::Relations, "known by;name;email;domain;known since;exchanges;last exchange\n"
            ."Greta Nystierna;Pernille Rye;pernille@tunhede.example;;5/2019;12;2026-08-23\n"
            ."anton@blasvik.example;Lena Quast;;ostholz.example;;;\n;Somebody New;new@ostholz.example;;2020;0;\n"
            ."Nobody Known;Olav Brekke;olav@tunhede.example;;;;\n", $this->anton);
        self::assertSame([3, 1], [$intake->created, $intake->rejected]);
        self::assertStringContainsString('Nobody of us is called “Nobody Known”', (string) $intake->rejections()->value(
            'reason',
        ));
        self::assertSame(
            ['Lena' => 'Anton', 'Pernille' => 'Greta Nystierna'],
            Relation::query()->with('user', 'contact')->whereNotNull('contact_id')->get()
                ->mapWithKeys(fn (Relation $one): array => [$one->contact?->first_name => $one->user->name])->sortKeys()
                ->all(),
        );
        $greta = Relation::query()->where('user_id', $this->greta->id)->sole();
        self::assertEqualsWithDelta(
            .30 + .25 * 2 ** (-92 / 30.4375 / 24) + .25 * (1 - 2 ** (-12 / 5)),
            $greta->strength(),
            .001,
        );
        $again = $this->bring(
            IntakeKind::Relations,
            "known by;name;email;exchanges\nGreta Nystierna;Pernille Rye;pernille@tunhede.example;15\n",
        );
        self::assertSame([0, 1], [$again->created, $again->updated]);

        $this->bring(
            IntakeKind::Contacts,
            "domain;name;title;email\nostholz.example;Somebody New;Engineer;new@ostholz.example\n",
        );
        self::assertSame(
            'Somebody',
            Relation::query()->where('email', 'new@ostholz.example')->sole()->contact?->first_name,
        );
        $this->actingAs($this->anton)->post(route('intake.undo', $intake))->assertRedirect();
        self::assertSame(0, Relation::query()->count());
    }

    public function test_one_of_us_who_is_named_in_two_ways_has_one_book(): void
    {
        $intake = $this->bring(
            IntakeKind::Relations,
            "known by;name;email\nAnton;Pernille Rye;pernille@tunhede.example\n"
                ."anton@blasvik.example;Pernille Rye;pernille@tunhede.example\n"
                ."Greta Nystierna;Pernille Rye;pernille@tunhede.example\n",
            $this->anton,
        );
        self::assertSame([2, 1, 0], [$intake->created, $intake->unchanged, $intake->rejected]);
        self::assertSame(1, Relation::query()->where('user_id', $this->anton->id)->count());
    }

    public function test_a_book_is_seen_by_whose_it_is_and_recorded_in_no_colleagues_name(): void
    {
        $intake = $this->bring(
            IntakeKind::Relations,
            "known by;name;email\nAnton;Pernille Rye;pernille@tunhede.example\n;Olav Brekke;olav@tunhede.example\n",
        );
        self::assertSame([1, 1], [$intake->created, $intake->rejected]);
        self::assertSame('Whom Anton knows they bring themselves.', $intake->rejections()->value('reason'));
        $draft = $this->receive(IntakeKind::Relations, "name;email\nOlav Brekke;olav@tunhede.example\n");
        $draft->update(['state' => IntakeState::Draft]);
        foreach ([$this->anton, $this->lead] as $other) {
            foreach ([$intake, $draft] as $one) {
                $this->actingAs($other)->get(route('intake.show', $one))->assertForbidden();
                $this->get(route('intake.rejected', $one))->assertForbidden();
            }
            $this->post(route('intake.start', $draft), ['kind' => 'relations', 'columns' => $draft->mapping])
                ->assertForbidden();
            $this->delete(route('intake.destroy', $draft))->assertForbidden();
        }
        $this->actingAs($this->rep)->get(route('intake.show', $intake))->assertOk();
        $this->get(route('intake.show', $draft))->assertOk()->assertSeeText('Olav Brekke')
            ->assertDontSee('>Anton<', false);
        $this
            ->post(
                route('intake.start', $draft),
                ['kind' => 'relations', 'whose' => $this->anton->id, 'columns' => $draft->mapping],
            )
            ->assertSessionHasErrors('whose');
        self::assertSame(1, Relation::query()->count());
    }

    public function test_a_book_of_vcards_is_taken_in_as_relations(): void
    {
        $cards = "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Pernille Rye\r\nN:Rye;Pernille;;;\r\n"
            ."EMAIL:pernille@tunhede.example\r\nEND:VCARD\r\nBEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ola Nobody\r\n"
            ."END:VCARD\r\n";
        $intake = $this->bring(IntakeKind::Relations, $cards, $this->anton);
        self::assertSame([2, 0], [$intake->created, $intake->rejected], $intake->rejections()->pluck('reason')->implode(
            ', ',
        ));
        $intake = $this->receive(IntakeKind::Relations, $cards, $this->anton);
        $intake->update(['state' => IntakeState::Draft]);
        $this->actingAs($this->anton)->get(route('intake.show', $intake))->assertOk()
            ->assertSeeText('Whose address book');
        $this
            ->post(
                route('intake.start', $intake),
                ['kind' => 'relations', 'whose' => $this->greta->id, 'columns' => $intake->mapping],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            2,
            Relation::query()->where('user_id', $this->greta->id)->where('brought_by', $this->anton->id)->count(),
        );
        self::assertSame(
            'Pernille',
            Relation::query()->where('user_id', $this->anton->id)->where('brought_by', $this->anton->id)
                ->whereNotNull('contact_id')->sole()->contact?->first_name,
        );
    }

    public function test_reach_follows_books_work_schools_and_associations_and_tells_steps_apart(): void
    {
        $this->bring(
            IntakeKind::Relations,
            "known by;name;email\nGreta Nystierna;Pernille Rye;pernille@tunhede.example\n",
        );
        $tunhede = Account::query()->where('domain', 'tunhede.example')->value('id');
        Station::query()->create([
            'user_id' => $this->anton->id, 'kind' => 'position', 'name' => 'Glasverk Tunhede', 'account_id' => $tunhede,
            'since' => '2014-01-01', 'until' => '2016-01-01',
        ]);
        Station::query()->create(['user_id' => $this->rep->id, 'kind' => 'school', 'name' => 'KRÅKVIK SKOLA']);
        $greta = (string) $this->greta->id;

        self::assertSame(['Pernille'], $this->reached($greta, '1'));
        self::assertSame(
            ['Ida', 'Maren', 'Olav', 'Pernille'],
            $this->reached($greta, '2'),
            'who was at Fjernlund, at the school, and is at Tunhede with her; not Lena, who was at Sverkhult '
                .'before Ida',
        );
        self::assertSame(['Ida', 'Maren', 'Olav'], $this->reached($greta, '2', '1'), 'without those she knows');
        self::assertSame(['Ida', 'Lena', 'Maren', 'Olav', 'Pernille'], $this->reached($greta, '3'));
        self::assertSame(['Olav'], $this->reached((string) $this->anton->id, '1'), 'at the same time only');
        self::assertSame(['Olav', 'Pernille'], $this->reached((string) $this->anton->id, 'worked'));
        self::assertSame(['Maren', 'Pernille'], $this->reached((string) $this->rep->id, '1'), 'who studied there');
        self::assertSame(
            [['Pernille'], ['Maren', 'Olav', 'Pernille']],
            [$this->reached('leaders', '1'), $this->reached('mates', '1')],
        );
        self::assertSame(['Ida', 'Lena'], $this->reached('anyone', '1', exclude: true));
        $ida = Contact::query()->where('first_name', 'Ida')->sole();
        DB::table('positions')->where('company', 'Fjernlund Papir')->where('contact_id', $ida->id)
            ->update(['since' => '2023-01-01', 'until' => '2024-01-01']);
        AccountIds::markStale([$ida->account_id]);
        (new Standings)->refresh();
        self::assertSame(['Maren', 'Olav', 'Pernille'], $this->reached($greta, '2'), 'it follows the positions');
        Relation::query()->delete();
        self::assertSame([], $this->reached($greta, '2'), 'and the books');
    }

    public function test_companies_that_are_no_accounts_are_one_as_far_as_letters_and_accents_go(): void
    {
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;email;earlier positions\n"
            ."tunhede.example;Aino;Lind;aino@tunhede.example;Planner, Møllekær Værk, 2001–2004\n"
            ."sverkhult.example;Berit;Lind;berit@sverkhult.example;Fitter, MØLLEKÆR VÆRK, 2003–2006\n"
            ."ostholz.example;Carl;Lind;carl@ostholz.example;Fitter, Møllekær-Værk, 2003–2006\n");
        $contacts = Contact::query()->whereIn('first_name', ['Aino', 'Berit', 'Carl'])->pluck('id', 'first_name');
        DB::table('positions')->whereIn('contact_id', $contacts)->whereNotNull('account_id')->delete();
        self::assertEqualsCanonicalizing(
            [$contacts['Aino'], $contacts['Berit']],
            AcquaintanceSpread::from([$contacts['Aino']], 3),
        );
    }

    public function test_reach_is_what_looking_at_every_pair_finds_by_either_way(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $accounts = Account::query()->orderBy('id')->pluck('id')->all();
        DB::table('positions')->delete();
        DB::table('affiliations')->delete();
        foreach (range(1, 70) as $i) {
            DB::table('contacts')->insert(
                ['id' => 1000 + $i, 'account_id' => $accounts[$i % 3], 'first_name' => "No$i", 'last_name' => 'Body'],
            );
        }
        $ids = DB::table('contacts')->orderBy('id')->pluck('id')->all();
        // Each with its spellings, which are one company.
        $companies = [['Møllekær Værk', 'MØLLEKÆR VÆRK'], ['Fjernlund Papír', 'fjernlund papir'], [
            'Kvarnbäck',
            'KVARNBACK',
        ]];
        $today = intdiv(today()->getTimestamp(), 86_400);
        $positions = $circles = [];
        foreach ($ids as $id) {
            for ($n = $random->getInt(0, 2); $n > 0; $n--) {
                $company = $random->getInt(0, 1);
                $name = $companies[$which = $random->getInt(0, 2)][$random->getInt(0, 1)];
                $account = $accounts[$random->getInt(0, 2)];
                $first = 11_000 + $random->getInt(0, 8000);
                [$since, $until] = [
                    $random->getInt(0, 4) === 0 ? null : $first,
                    $random->getInt(0, 3) === 0 ? null : $first + $random->getInt(0, 900),
                ];
                $day = fn (?int $day): ?string => $day === null ? null : gmdate('Y-m-d', $day * 86_400);
                DB::table('positions')->insert([
                    'contact_id' => $id, 'account_id' => $company ? null : $account,
                    'company' => $company ? $name : null, 'title' => 'Planner', 'since' => $day($since),
                    'until' => $day($until),
                ]);
                $positions[$id][] = [$company ? "c$which" : "a$account", $since ?? $until ?? $today, $until ?? $today];
            }
            if ($random->getInt(0, 7) === 0) {
                $circles[$id] = [
                    ['school', 'association', 'language'][$random->getInt(0, 2)],
                    "Circle {$random->getInt(0, 4)}",
                ];
                DB::table('affiliations')
                    ->insert(['contact_id' => $id, 'kind' => $circles[$id][0], 'name' => $circles[$id][1]]);
            }
        }
        $meet = function (int $a, int $b) use ($positions, $circles): bool {
            foreach ($positions[$a] ?? [] as [$where, $first, $last]) {
                foreach ($positions[$b] ?? [] as [$there, $from, $until]) {
                    if ($where === $there && max($first, $from) <= min($last, $until)) {
                        return true;
                    }
                }
            }

            return isset($circles[$a], $circles[$b]) && $circles[$a] === $circles[$b] && $circles[$a][0] !== 'language';
        };
        foreach (array_slice($ids, 0, 20) as $from) {
            $reached = [$from];
            foreach ([1, 2, 3] as $steps) {
                $reached = array_values(array_filter(
                    $ids,
                    fn (int $id): bool => in_array($id, $reached, true)
                            || array_filter($reached, fn (int $one): bool => $meet($one, $id)) !== [],
                ));
                self::assertEqualsCanonicalizing(
                    $reached,
                    AcquaintanceSpread::from([$from], $steps),
                    "$steps steps from $from",
                );
                self::assertEqualsCanonicalizing(
                    $reached,
                    AcquaintanceSpread::from([$from], $steps, many: 0),
                    "$steps steps from $from, through all positions",
                );
            }
        }
        self::assertGreaterThan(10, count($reached));
    }

    public function test_the_screen_says_who_knows_whom_and_each_withdraws_what_they_brought(): void
    {
        $this->bring(
            IntakeKind::Relations,
            "known by;name;email;exchanges\nGreta Nystierna;Pernille Rye;pernille@tunhede.example;3\n",
        );
        $this->bring(IntakeKind::Relations, "name;email\nIda Lie;ida@sverkhult.example\n", $this->anton);
        $mine = Relation::query()->where('user_id', $this->greta->id)->sole();
        $this->actingAs($this->rep)->get(route('network'))->assertOk()->assertSeeText('2 contacts in 2 accounts known')
            ->assertSeeTextInOrder(['Pernille Rye', 'Greta Nystierna']);
        $this->get(route('contacts.show', (int) $mine->contact_id))
            ->assertSeeTextInOrder(['Relations', 'Greta Nystierna', 'in the address book, 3 exchanges']);
        $this->actingAs($this->lead)->get(route('network.relations'))->assertOk()->assertSeeText('None yet.')
            ->assertDontSeeText('Pernille');
        $this->delete(route('network.withdraw', $mine))->assertForbidden();
        $this->actingAs($this->anton)->get(route('network.relations'))->assertSeeText('Ida Lie')
            ->assertDontSeeText('Pernille');
        $this->actingAs($this->rep)->get(route('network.relations', ['find' => 'pern']))->assertSeeText('Pernille Rye')
            ->assertDontSeeText('Ida Lie');
        $this->delete(route('network.withdraw-all'), ['user' => $this->greta->id])->assertSessionHasErrors('sure');
        $this->delete(route('network.withdraw-all'), ['user' => $this->greta->id, 'sure' => '1'])
            ->assertSessionHas('said', '1 relation is withdrawn.');
        self::assertSame(1, Relation::query()->count());
    }

    public function test_where_we_worked_is_kept_for_oneself_and_for_leaders(): void
    {
        $post = fn (User $of, array $more = []) => $this->actingAs($this->rep)->post(
            route('stations.store'),
            $more + [
                'user' => $of->id, 'kind' => 'position', 'name' => 'tunhede.example', 'since' => '2014-01-01',
                'until' => '2016-01-01', 'title' => 'Plant Manager',
            ],
        );
        $post($this->anton)->assertForbidden();
        $post($this->greta, ['until' => '2013-01-01'])->assertSessionHasErrors('until');
        $post($this->greta, ['since' => ''])->assertSessionHasErrors('since');
        $post($this->greta)->assertRedirect(route('network'));
        $station = Station::query()->sole();
        self::assertSame(['Glasverk Tunhede', true], [$station->name, $station->account_id !== null]);
        $this->get(route('network'))->assertSeeTextInOrder(
            ['Olav Brekke', 'Greta Nystierna', '18 %', 'worked at Glasverk Tunhede together until Jan 2016'],
        );
        $this->actingAs($this->anton)->delete(route('stations.destroy', $station))->assertForbidden();
        $this->actingAs($this->rep)->delete(route('stations.destroy', $station))->assertSessionHas('undo');
    }

    public function test_erasure_takes_relations_along(): void
    {
        $this->bring(
            IntakeKind::Relations,
            "known by;name;email\nGreta Nystierna;Pernille Rye;pernille@tunhede.example\n",
        );
        EraseContact::erase(Contact::query()->where('first_name', 'Pernille')->sole(), $this->lead);
        self::assertSame(0, Relation::query()->count());
        $again = $this->bring(
            IntakeKind::Relations,
            "known by;name;email\nGreta Nystierna;Pernille Rye;pernille@tunhede.example\n",
        );
        self::assertSame([0, 1], [$again->created, $again->rejected]);
    }

    /** @return list<string> */
    private function reached(string $whose, string $steps, string $new = '', bool $exclude = false): array
    {
        return Contact::query()
            ->whereIn(
                'id',
                Search::from($this->offer, [
                    'on' => 'contacts',
                    'c' => [['f' => 'reach', 'w' => $whose, 'n' => $steps, 'new' => $new, 'x' => $exclude ? '1' : '']],
                ])
                    ->ids(),
            )
            ->orderBy('first_name')
            ->pluck('first_name')
            ->all();
    }
}
