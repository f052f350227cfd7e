<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Mistake;
use Luftig\Core\Person\EmailPatterns;
use Luftig\Core\Priority\LookUp;
use Luftig\Core\Priority\LookUps;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Bounces;
use Luftig\Core\Shell\Shell;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Rules 16 and 23: addresses that are guessed, what comes back, and which look-ups pay. */
final class EmailPatternsTest extends TestCase
{
    use TestTrait;

    public function test_a_pattern_is_as_likely_as_it_is_there_and_elsewhere(): void
    {
        $patterns = self::learned([
            ['Ada', 'Nord', 'ada.nord@glas.example'], ['Bo', 'Lie', 'bo.lie@glas.example'],
            ['Cato', 'Berg', 'cberg@papir.example'], ['Dag', 'Moe', 'dag.moe@papir.example'],
        ]);
        // Over all: three of four, one of four. At the second: (1 + 2 · ¾) ÷ 4 and (1 + 2 · ¼) ÷ 4.
        self::assertEqualsWithDelta(
            ['first.last' => .625, 'flast' => .375], $patterns->chances('papir.example'), 1e-12,
        );
        // At the first: (2 + 1.5) ÷ 4 and ½ ÷ 4; where nothing is known, the shares over all.
        self::assertEqualsWithDelta(
            ['first.last' => .875, 'flast' => .125], $patterns->chances('GLAS.example'), 1e-12,
        );
        self::assertEqualsWithDelta(['first.last' => .75, 'flast' => .25], $patterns->chances('new.example'), 1e-12);
        self::assertEqualsWithDelta(
            ['eva.dahl@glas.example' => .875, 'edahl@glas.example' => .125],
            $patterns->guesses('Eva', 'Dahl', 'glas.example'), 1e-12,
        );
    }

    public function test_what_follows_no_pattern_counts_and_what_is_no_address_does_not(): void
    {
        $patterns = self::learned([
            ['Ada', 'Nord', 'ada.nord@glas.example'], ['Bo', 'Lie', 'bl77@glas.example'],
            ['Dag', 'Moe', 'no address'],
        ]);
        // One of two over all, so that (1 + 2 · ½) ÷ (2 + 2).
        self::assertEqualsWithDelta(['first.last' => .5], $patterns->chances('glas.example'), 1e-12);
        self::assertEqualsWithDelta(1.0, array_sum((new EmailPatterns)->chances('any.example')), 1e-12);
        self::assertEqualsWithDelta(
            ['last' => .4], (new EmailPatterns(['last' => .4]))->chances('any.example'), 1e-12,
        );
    }

    public function test_letters_that_are_written_in_two_ways_follow_the_house(): void
    {
        $long = ['Jörg', 'Müller', 'joerg.mueller@glas.example'];
        $short = ['Jörg', 'Müller', 'jorg.muller@glas.example'];
        $guess = fn (array $known): array => array_keys(self::learned([$known])->guesses(
            'Søren', 'Gråberg', 'glas.example',
        ));
        self::assertSame(['soeren.graaberg@glas.example'], $guess($long));
        self::assertSame(['soren.graberg@glas.example'], $guess($short));
        // Where the house tells nothing, both, as likely.
        self::assertEqualsWithDelta(
            ['soeren.graaberg@x.example' => .5, 'soren.graberg@x.example' => .5],
            self::learned([['Ada', 'Nord', 'ada.nord@x.example']])->guesses('Søren', 'Gråberg', 'x.example'), 1e-12,
        );
        self::assertSame(
            ['annesophie.askovrye@glas.example'],
            array_keys(self::learned([['Mai-Britt', 'Lund', 'maibritt.lund@glas.example']])->guesses(
                'Anne-Sophie', 'Askov-Rye', 'glas.example',
            )),
        );
        self::assertSame(
            ['pieter.vandenberg@glas.example'],
            array_keys(self::learned([['Ada', 'Nord', 'ada.nord@glas.example']])->guesses(
                'Pieter', 'van den Berg', 'glas.example',
            )),
        );
        self::assertSame([], self::learned([['Ada', 'Nord', 'ada.nord@x.example']])->guesses('', 'Nord', 'x.example'));
    }

    public function test_chances_add_up_to_one_at_most_and_what_is_known_grows_likelier(): void
    {
        // None that two patterns write alike: of Ada Åsa, aasa@ is her last name, or a letter before it.
        $names = ['Ada', 'Bo', 'Jörg', 'Anne-Sophie', 'Łukasz', 'Håkan', 'Nguyễn', 'Müller-Lie'];
        $this->limitTo(60)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed) use ($names): void {
            $random = new Randomizer(new Mt19937($seed));
            $name = fn (): string => $names[$random->getInt(0, count($names) - 1)];
            $patterns = new EmailPatterns;
            $templates = array_keys(EmailPatterns::PATTERNS);
            for ($i = 0; $i < 6; $i++) {
                [$f, $l, $at] = [$name(), $name(), $random->getInt(0, count($templates) - 1)];
                $guess = (new EmailPatterns([$templates[$at] => 1.0]))->guesses($f, $l, 'glas.example');
                $patterns->learn($f, $l, (string) array_key_first($guess));
            }
            [$first, $last] = [$name(), $name()];
            $guesses = $patterns->guesses($first, $last, 'glas.example');
            self::assertLessThanOrEqual(1 + 1e-9, array_sum($guesses));
            foreach ($guesses as $address => $chance) {
                self::assertMatchesRegularExpression('/^[a-z0-9._-]+@glas\.example$/', $address);
                self::assertGreaterThan(0, $chance);
            }
            $best = array_key_first($guesses);
            if ($best !== null) {
                $patterns->learn($first, $last, $best);
                $after = $patterns->guesses($first, $last, 'glas.example')[$best];
                self::assertGreaterThanOrEqual($guesses[$best] - 1e-9, $after);
            }
        });
    }

    public function test_what_is_to_be_expected_back_is_counted_without_the_dead(): void
    {
        // .02 + .4 + (1 − .8) + (1 − .9, the most a guess is believed) = .72 of four.
        $bounces = Bounces::of([
            [AddressState::Valid, null], [AddressState::CatchAll, null], [AddressState::Guess, .8],
            [AddressState::Guess, .97], [AddressState::Invalid, null], [AddressState::Off, null],
        ]);
        self::assertEqualsWithDelta([.72, .18], [$bounces->expected, $bounces->rate()], 1e-12);
        self::assertSame([4, 2, true], [$bounces->sent, $bounces->dead, $bounces->areTooMany()]);
        $few = Bounces::of([...array_fill(0, 19, [AddressState::Shared, null]), [AddressState::Disposable, null]]);
        self::assertSame([0.0, false], [$few->rate(), $few->areTooMany()]);
        self::assertSame(0.0, Bounces::of([])->rate());
        // Five of a hundred is not above five per cent.
        $five = Bounces::of([...array_fill(0, 90, [AddressState::Shared, null]),
            ...array_fill(0, 10, [AddressState::Unknown, null])]);
        self::assertFalse($five->areTooMany());
    }

    public function test_look_ups_are_proposed_by_what_they_gain_a_credit_until_the_budget_ends(): void
    {
        $candidates = [
            new LookUp(1, 'cheap', 1, .5, 40, 60, 1), new LookUp(2, 'dear', 4, .9, 40, 80, 1),
            new LookUp(1, 'dear', 4, .9, 40, 60, 1), new LookUp(3, 'cheap', 1, .5, 40, 40, 1),
            new LookUp(4, 'dear', 4, .8, 40, 70, .5),
        ];
        // 10 and 9 a credit, 3 for the fourth; the second way to the first is not taken, the third gains nothing.
        $all = LookUps::within(20, $candidates);
        self::assertSame([1, 2, 4], array_column($all->proposed, 'id'));
        self::assertEqualsWithDelta([10 + 36 + 12, 9], [$all->gain, $all->cost], 1e-9);
        self::assertSame([1, 2], array_column(LookUps::within(8, $candidates)->proposed, 'id'));
        self::assertSame([1], array_column(LookUps::within(2, $candidates)->proposed, 'id'));
        self::assertSame([], LookUps::within(0, $candidates)->proposed);
        self::assertSame([.5, .75], [LookUp::chance(0, 0), LookUp::chance(2, 2)]);
        $this->expectException(Mistake::class);
        new LookUp(1, 'free', 0, .5, 40, 60, 1);
    }

    public function test_an_unknown_fact_gains_what_it_could_move_either_way(): void
    {
        // From 40 down by 40 or up by 20: 30 in the mean; found by .8, in half of a day's plan, for 2 credits.
        $fact = LookUp::ofFact('7-revenue', 'a', 2, .8, 40, [0, 60], .5);
        self::assertEqualsWithDelta([12, 6], [$fact->gain(), $fact->perCredit()], 1e-12);
        self::assertSame(0.0, LookUp::ofFact(1, 'a', 2, .8, 40, [40, 40], 1)->gain());
        $ask = fn (array $fields): string => Shell::run(['look-ups'], fn (): string => (string) json_encode([
            'budget' => 5, 'candidates' => [$fields + [
                'id' => 1, 'service' => 'a', 'price' => 2, 'chance' => .8, 'priority_now' => 40, 'share' => .5,
            ]],
        ]))[0];
        self::assertStringContainsString('"gain":12.0,"per_credit":6.0', $ask(['priorities' => [0, 60]]));
        self::assertStringContainsString('"gain":8.0,', $ask(['priority_with' => 60]));
        self::assertStringContainsString('between 0 and 100', $ask(['priorities' => [0, 101]]));
        self::assertStringContainsString('priority_with', $ask([]));
    }

    public function test_a_company_with_another_figure_is_the_same_otherwise(): void
    {
        $facts = new AccountFacts(headcount: 80, revenue: 5e6, growth: .1, country: 'SE', text: 'three shifts');
        self::assertEquals(
            new AccountFacts(headcount: 90, revenue: 5e6, growth: .1, country: 'SE', text: 'three shifts'),
            $facts->withHeadcount(90),
        );
        self::assertEquals(
            new AccountFacts(headcount: 80, revenue: 1.0, growth: .1, country: 'SE', text: 'three shifts'),
            $facts->withRevenue(1.0),
        );
    }

    /** @param  list<array{string, string, string}>  $known */
    private static function learned(array $known): EmailPatterns
    {
        $patterns = new EmailPatterns;
        foreach ($known as $one) {
            $patterns->learn(...$one);
        }

        return $patterns;
    }
}
