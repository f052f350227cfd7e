<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Signal;
use App\Reasons\Slots;
use App\Standings\SignalLine;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Stage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What fills the slots of words, by how signals are written. */
final class SlotsTest extends TestCase
{
    /** @return array<string, array{Kind, string, array<string, mixed>, array<string, string|null>}> */
    public static function signals(): array
    {
        return [
            'a role' => [
                Kind::Hiring, 'Maintenance planner sought', [],
                ['role' => 'maintenance planner', 'a_role' => 'a maintenance planner'],
            ],
            'a role before a vowel' => [
                Kind::Hiring, 'Energy manager sought', [],
                ['role' => 'energy manager', 'a_role' => 'an energy manager'],
            ],
            'a vowel that sounds otherwise' => [
                Kind::Hiring, 'Utilities engineer sought', [], ['a_role' => 'a utilities engineer'],
            ],
            'several of them' => [
                Kind::Hiring, 'Two maintenance planners sought, Hobro', [],
                ['role' => 'maintenance planner', 'a_role' => 'two maintenance planners'],
            ],
            'so many of them' => [
                Kind::Hiring, '3 shift electricians wanted', [],
                ['role' => 'shift electrician', 'a_role' => '3 shift electricians'],
            ],
            'one that ends like several' => [
                Kind::Hiring, 'Head of process sought', [],
                ['role' => 'head of process', 'a_role' => 'a head of process'],
            ],
            'one of several openings' => [
                Kind::Hiring, 'Shift electrician sought, one of 3 openings', [],
                ['role' => 'shift electrician', 'a_role' => 'a shift electrician'],
            ],
            'shouted' => [Kind::Hiring, 'MECHANIC sought', [], ['role' => 'mechanic', 'a_role' => 'a mechanic']],
            'a sentence that names no role' => [
                Kind::Hiring, 'They look for people', [], ['role' => null, 'a_role' => null],
            ],
            'a round in millions' => [Kind::Funding, 'Round B', ['eur' => 12_000_000], ['money' => '€12 million']],
            'a round in few millions' => [Kind::Funding, 'Round A', ['eur' => 2_450_000], ['money' => '€2.5 million']],
            'a whole number of few' => [Kind::Funding, 'Round A', ['eur' => 3_000_000], ['money' => '€3 million']],
            'a round in thousands' => [Kind::Funding, 'Seed', ['eur' => 412_400], ['money' => '€412,000']],
            'a very large one' => [Kind::Funding, 'Round F', ['eur' => 1.2e9], ['money' => '€1.2 billion']],
            'one too small to speak of' => [Kind::Funding, 'Grant', ['eur' => 4_000], ['money' => null]],
            'one without a sum' => [Kind::Funding, 'Round B, €12M', [], ['money' => null]],
            'what came' => [Kind::TechAdopted, 'Vedliko Plan adopted', [], ['technology' => 'Vedliko Plan']],
            'what went' => [Kind::TechDropped, 'Tryklog no longer named', [], ['technology' => 'Tryklog']],
            'what is told as a fact' => [
                Kind::TechDropped, 'The logger came off', ['technology' => 'Tryklog'], ['technology' => 'Tryklog'],
            ],
            'what cannot be told' => [Kind::TechDropped, 'The logger came off', [], ['technology' => null]],
            'from a customer' => [
                Kind::CustomerAlum, 'Ida Skarp came from Fjernlund Papir, a customer', [],
                ['from' => 'Fjernlund Papir'],
            ],
            'from a customer without a name' => [
                Kind::CustomerAlum, 'Ida Skarp came from a customer', [], ['from' => null],
            ],
            'from another employer' => [
                Kind::NewLeader, 'Ida Skarp joined as Head of Maintenance from Fjernlund Papir', [],
                ['from' => 'Fjernlund Papir'],
            ],
            'a topic in quotes' => [
                Kind::PostEngagement, 'Commented on “Leak surveys in glass”', [], ['topic' => 'leak surveys in glass'],
            ],
            'a topic that is known' => [
                Kind::PostEngagement, 'Commented on a post about Energy audits', [], ['topic' => 'energy audits'],
            ],
            'a topic as a fact' => [
                Kind::PostEngagement, 'Commented', ['topic' => 'Power prices'], ['topic' => 'power prices'],
            ],
            'no topic' => [Kind::PostEngagement, 'Commented on a post', [], ['topic' => null]],
            'growth' => [
                Kind::Growth, 'Headcount up', ['before' => 200, 'after' => 224], ['percent' => '12 %'],
            ],
            'growth from nothing' => [Kind::Growth, 'Headcount up', ['before' => 0, 'after' => 9], ['percent' => null]],
        ];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  array<string, string|null>  $slots
     */
    #[DataProvider('signals')]
    public function test_a_slot_is_filled_where_the_signal_says_it(
        Kind $kind,
        string $title,
        array $facts,
        array $slots,
    ): void {
        $lines = $this->lines(['kind' => $kind, 'title' => $title, 'facts' => $facts === [] ? null : $facts]);
        $filled = Slots::of($this->offer, $lines[0]->signal->account, null, $lines);
        foreach ($slots as $slot => $text) {
            self::assertSame($text, $filled[$slot] ?? null, $slot);
        }
    }

    public function test_somebody_else_is_a_colleague_and_nobody_is_their_own(): void
    {
        $account = Account::factory()->create(['name' => 'Tangentglas']);
        $ida = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Ida', 'last_name' => 'Skarp', 'title' => 'Plant manager',
        ]);
        $lines = $this->lines([
            'account_id' => $account->id, 'contact_id' => $ida->id, 'kind' => Kind::NewLeader,
            'title' => 'Ida Skarp joined as Plant manager from Fjernlund Papir',
        ]);
        self::assertSame('Ida', Slots::of($this->offer, $account, null, $lines)['colleague']);
        $own = Slots::of($this->offer, $account, $ida, $lines);
        self::assertArrayNotHasKey('colleague', $own);
        self::assertSame(
            ['Tangentglas', 'Ida', 'Skarp', 'Plant manager', 'Fjernlund Papir'],
            [$own['account'], $own['first_name'], $own['last_name'], $own['title'], $own['from']],
        );
    }

    public function test_an_offer_asks_its_own_question_and_else_who_looks_after_it(): void
    {
        $account = Account::factory()->create();
        $of = fn (Offer $offer): string => Slots::of($offer, $account, null, [])['question'];
        self::assertSame('What leaks?', $of(Offer::factory()->create(['question' => 'What leaks?'])));
        self::assertSame(
            'May I ask who looks after that with you?', $of(Offer::factory()->create(['question' => null])),
        );
    }

    /**
     * @param  array<string, mixed>  $signal
     * @return list<SignalLine>
     */
    private function lines(array $signal): array
    {
        $one = Signal::factory()->create($signal);

        return [new SignalLine($one, $one->kind, 1.0, 1.0, 0, .5, 1.0, Stage::Fresh, 5.0, .5)];
    }
}
