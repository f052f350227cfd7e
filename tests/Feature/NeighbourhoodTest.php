<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Position;
use App\Models\Relation;
use App\Models\Role;
use App\Support\Phone;
use App\View\Network\Neighbourhood;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Who is near somebody, drawn and in words; and what their numbers say. */
final class NeighbourhoodTest extends TestCase
{
    private Contact $pernille;

    private Contact $olav;

    protected function setUp(): void
    {
        parent::setUp();
        $glass = Account::factory()->create(['name' => 'Glasverk Tunhede', 'headcount' => 100]);
        $this->pernille = $this->somebody($glass, 'Pernille', '2024-01-01');
        $this->olav = $this->somebody($glass, 'Olav', '2025-01-01');
        $this->somebody($glass, 'Early', '2010-01-01', '2012-01-01');
        $this->actingAs($this->rep);
    }

    public function test_of_us_of_contacts_and_the_contact_stand_in_three_columns(): void
    {
        $this->knows($this->rep->id, $this->pernille);
        $this->knows($this->lead->id, $this->olav);
        $around = Neighbourhood::of($this->pernille);
        self::assertSame('2 of us and 1 other contact are near', $around->about());
        $people = array_column($around->people(), null, 'name');
        self::assertEqualsCanonicalizing(['Mira', 'Ylva', 'Olav Lie', 'Pernille Lie'], array_keys($people));
        self::assertLessThan($people['Olav Lie']['x'], $people['Mira']['x']);
        self::assertLessThan($people['Pernille Lie']['x'], $people['Olav Lie']['x']);
        self::assertSame(['end', 'middle', 'start'], [
            $people['Mira']['anchor'], $people['Olav Lie']['anchor'], $people['Pernille Lie']['anchor'],
        ]);
        self::assertSame(
            [null, route('contacts.show', $this->olav)], [$people['Mira']['url'], $people['Olav Lie']['url']],
        );
        self::assertSame(16 + 20 + 2 * 40, $around->height());
        // One column a row; one alone stands in the middle between two.
        self::assertSame(40, abs($people['Mira']['y'] - $people['Ylva']['y']));
        self::assertSame(($people['Mira']['y'] + $people['Ylva']['y']) / 2, $people['Olav Lie']['y']);
        $lines = $around->lines();
        self::assertCount(3, $lines);
        foreach ($lines as $line) {
            self::assertLessThan($line['x2'], $line['x1'], 'each leads to the right');
        }
        // Each knows theirs by .3; the two worked 22 months together at 100: .7 · (1 − 2^(−22.7 ÷ 18)) ÷ 1.5.
        $widths = array_map(fn (array $line): float => $line['width'], $lines);
        sort($widths);
        $together = .7 * (1 - 2 ** (-691 / 30.4375 / 18)) / 1.5;
        self::assertEqualsWithDelta([.75 + 4.25 * $together, 2.025, 2.025], $widths, .006);
        $page = $this->get(route('network.around', $this->pernille))->assertOk();
        $page->assertSeeText('Mira and Pernille Lie: in the address book')->assertSeeText('(30 %)')
            ->assertSeeText('Olav Lie and Pernille Lie: worked at Glasverk Tunhede together')
            ->assertSee('Who knows Pernille Lie, in three columns', false);
        $this->get(route('contacts.show', $this->pernille))->assertSee(route('network.around', $this->pernille));
    }

    public function test_the_nearest_are_drawn_where_there_are_many(): void
    {
        for ($i = 0; $i < 12; $i++) {
            $this->knows($this->person("Rep$i", Role::Rep)->id, $i % 2 === 0 ? $this->pernille : $this->olav, $i);
            $this->somebody($this->pernille->account, "Mate$i", '2025-06-01');
        }
        $around = Neighbourhood::of($this->pernille);
        $people = $around->people();
        $us = array_filter($people, fn (array $one): bool => $one['anchor'] === 'end');
        self::assertCount(1 + 8 + count($us), $people);
        self::assertLessThanOrEqual(8, count($us));
        self::assertContains('Rep10', array_column($people, 'name'), 'who exchanged most with her');
        self::assertContains('Olav Lie', array_column($people, 'name'), 'the longest together');
        self::assertSame(count($around->lines()), count($around->sentences()));
        foreach ($around->sentences() as $sentence) {
            self::assertMatchesRegularExpression('/^\S.* and \S.*: \S.* \(\d+ %\)$/', $sentence);
        }
    }

    public function test_of_whom_nobody_knows_anything_it_is_said_what_to_do(): void
    {
        $alone = Contact::factory()->create(['first_name' => 'Rolf', 'last_name' => 'Lie']);
        $this->get(route('network.around', $alone))->assertSeeText('Nobody of us knows them')
            ->assertDontSee('<line', false);
    }

    /** @return array<string, array{string, string|null}> */
    public static function numbers(): array
    {
        return [
            'a Swedish mobile' => ['+46 70 174 06 05', 'mobile'],
            'a Swedish landline' => ['+46 31 390 06 12', 'landline'],
            'a German mobile' => ['+49 152 28817386', 'mobile'],
            'a German landline' => ['+49 30 23125123', 'landline'],
            'American ones are alike' => ['+1 212 555 0100', null], 'no number' => ['ask for Ida', null],
            'without its country' => ['030 23125123', null],
        ];
    }

    #[DataProvider('numbers')]
    public function test_a_number_says_what_it_is(string $number, ?string $kind): void
    {
        self::assertSame($kind, Phone::kind($number));
    }

    private function somebody(Account $account, string $name, string $since, ?string $until = null): Contact
    {
        $contact = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => $name, 'last_name' => 'Lie',
        ]);
        Position::factory()->create([
            'contact_id' => $contact->id, 'account_id' => $account->id, 'title' => 'Planner', 'since' => $since,
            'until' => $until, 'reading' => 0,
        ]);

        return $contact->load('account');
    }

    private function knows(int $user, Contact $contact, ?int $exchanges = null): void
    {
        Relation::query()->create([
            'user_id' => $user, 'contact_id' => $contact->id, 'person' => $contact->name(), 'exchanges' => $exchanges,
            'last_exchange' => $exchanges === null ? null : '2026-11-01', 'fingerprint' => sha1("$user {$contact->id}"),
        ]);
    }
}
