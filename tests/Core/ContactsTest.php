<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Buying\BuyerRole;
use Luftig\Core\Buying\Choice;
use Luftig\Core\Buying\Choosable;
use Luftig\Core\Buying\Part;
use Luftig\Core\Buying\RoleOfContact;
use Luftig\Core\Buying\Skip;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Priority\ContactPoints;
use Luftig\Core\Priority\ContactPush;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\TestCase;

/** Rules 8 and 9. */
final class ContactsTest extends TestCase
{
    use TestTrait;

    public function test_role_is_weight_times_match_times_the_root_of_authority_and_accessibility(): void
    {
        self::assertEqualsWithDelta(sqrt(.75 * .85), $this->role('Head of Maintenance', 420)?->value, 1e-12);
        self::assertEqualsWithDelta(
            .4 * sqrt(.5 * .95), $this->role('Plant Manager', 420)?->value, 1e-12, 'a neighbouring function',
        );
        self::assertEqualsWithDelta(
            .1 * sqrt(.5 * .95), $this->role('Marketing Manager', 420)?->value, 1e-12, 'another',
        );
        self::assertEqualsWithDelta(
            sqrt(.95 * .9), $this->role('CEO', 30)?->value, 1e-12, 'in a small firm the head decides',
        );
        self::assertEqualsWithDelta(
            .8 * sqrt(.75), $this->role('CEO', null)?->value, 1e-12, 'an unknown headcount is 50 to 249',
        );
        self::assertEqualsWithDelta(.5 * sqrt(.75 * .15), $this->role('CEO', 3000)?->value, 1e-12);
        self::assertEqualsWithDelta(
            sqrt(.15), $this->role('Wartung', 100, 'DE')?->value, 1e-12, 'a function without a rank is a specialist',
        );
        foreach (
            [
                'Former Head of Maintenance', 'Assistant to the Head of Maintenance', 'Maintenance Apprentice',
                'Synergist', 'Board Member',
            ] as $title
        ) {
            self::assertNull($this->role($title, 420), $title);
        }
        self::assertEqualsWithDelta(
            .1 * sqrt(.7 * .5),
            RoleOfContact::best(
                [$this->maintenance()],
                TitleReader::standard()->read('Chairman'),
                'Chairman',
                null,
                40,
                association: true,
            )?->value,
            1e-12,
        );
    }

    public function test_queries_include_and_exclude_titles_and_the_best_role_counts(): void
    {
        $energy = new BuyerRole(
            'Energy',
            BusinessFunction::Sustainability->bit(),
            0,
            Query::parse('utilities OR gasbeauf*'),
            Query::parse('safety'),
            .5,
            ['SE' => Query::parse('gasansvarig')],
        );
        $best = fn (string $title, ?string $country = null): ?RoleOfContact => RoleOfContact::best(
            [$this->maintenance(), $energy], TitleReader::standard()->read($title, $country), $title, $country, 420,
        );

        self::assertSame('Energy', $best('Gasbeauftragter')?->buyerRole->name);
        self::assertSame('Maintenance', $best('Utilities Manager')?->buyerRole->name);
        self::assertSame(
            .1,
            $best('Energy and Safety Manager')?->match,
            'excluded from one role, it may stand in another',
        );
        self::assertSame([1.0, .1], [$best('Gasansvarig', 'SE')?->match, $best('Gasansvarig', 'DK')?->match]);
    }

    public function test_parts_are_the_first_that_applies(): void
    {
        $part = fn (string $title, int $heads, bool $live = false, float $intro = 0): ?Part => $this
            ->role($title, $heads)?->part($heads, $live, $intro);

        self::assertSame(Part::SignsOff, $part('Head of Maintenance', 420));
        self::assertSame([Part::SignsOff, Part::NextDoor], [$part('Owner', 400), $part('Owner', 5000)]);
        self::assertSame(Part::Shapes, $part('Maintenance Manager', 420));
        self::assertSame([Part::User, Part::Champion, Part::Champion], [
            $part('Maintenance Planner', 420),
            $part('Maintenance Planner', 420, true),
            $part('Maintenance Planner', 420, intro: .3),
        ]);
        self::assertSame(Part::NextDoor, $part('Plant Manager', 420));
    }

    public function test_points_and_push(): void
    {
        self::assertEqualsWithDelta(-30 + 25 * .8 * 1.5 + 15 * .6, ContactPoints::of(.8, .5, .6)->total(), 1e-12);
        self::assertSame(ContactPoints::of(.8, -1, .6)->total(), ContactPoints::of(.8, -3, .6)->total());

        $maintenance = BusinessFunction::Maintenance->bit();
        $push = new ContactPush([[.5, null, 0], [.3, 7, 0], [.2, null, $maintenance], [.1, 7, $maintenance]]);
        self::assertEqualsWithDelta(
            .55 + .15 + .1 + .05, $push->on(7, $maintenance), 1e-12, 'own and concerning counts once',
        );
        self::assertEqualsWithDelta(.55 + .2, $push->on(7, 0), 1e-12);
        self::assertEqualsWithDelta(.55 + .1 + .05, $push->on(8, $maintenance), 1e-12);
        self::assertEqualsWithDelta(.55, $push->on(8, 0), 1e-12);
    }

    public function test_what_somebody_did_themselves_counts_as_of_a_champion_at_least(): void
    {
        // −30 + 25·.2·1.5 + 25·(.5 − .2)·.4 + 15·.6 = −30 + 7.5 + 3 + 9
        self::assertEqualsWithDelta(-10.5, ContactPoints::of(.2, .5, .6, .4, .4)->total(), 1e-12);
        self::assertEqualsWithDelta(
            -13.5,
            ContactPoints::of(.2, .5, .6, .4, .39)->total(),
            1e-12,
            'of another function: no more than their role',
        );
        self::assertEqualsWithDelta(
            -30 + 25 * .8 * 1.5 + 9,
            ContactPoints::of(.8, .5, .6, .4, 1.0)->total(),
            1e-12,
            'a role above that is worth what it is',
        );
    }

    public function test_what_somebody_else_engaged_with_counts_a_quarter(): void
    {
        $maintenance = BusinessFunction::Maintenance->bit();
        $push = new ContactPush(
            [[.5, null, 0, false], [.4, 7, 0, true], [.2, 7, $maintenance, false], [.3, null, 0, true]],
        );
        self::assertEqualsWithDelta(
            .25 + .4 + .2 + .15, $push->on(7, $maintenance), 1e-12, 'their own in full, of nobody in particular half',
        );
        self::assertEqualsWithDelta(.25 + .1 + .2 + .15, $push->on(8, $maintenance), 1e-12);
        self::assertEqualsWithDelta(.25 + .1 + .1 + .15, $push->on(8, 0), 1e-12);
        self::assertEqualsWithDelta(.6, $push->own(7), 1e-12);
        self::assertSame(0.0, $push->own(8));
    }

    public function test_whom_the_reason_is_about_comes_first_even_under_twenty(): void
    {
        $about = fn (float $priority, bool $keptOut = false): Choosable => new Choosable(
            'about', $priority, Part::User, 1, keptOut: $keptOut, about: true,
        );
        $others = [new Choosable('a', 80, Part::SignsOff, 1), new Choosable('b', 70, Part::User, 2)];
        self::assertSame(
            ['about', 'b', 'a'],
            Choice::of([...$others, $about(12)], 3)->taken,
            'who shares a function with them counts .85: 68 against 70',
        );
        self::assertSame(
            ['about', 'a'],
            Choice::of([...$others, $about(12)], 2)->taken,
            'and the last makes room for who signs off',
        );
        self::assertSame(['a', 'b'], Choice::of([...$others, $about(12, true)], 3)->taken);
        self::assertSame([], Choice::of([$about(90)], 1, 1)->taken, 'where the account is full, nobody is');
        self::assertSame(Skip::AccountFull, Choice::of([$about(12)], 1, 1)->skipped['about']);
    }

    public function test_the_choice_spreads_over_functions_and_has_somebody_who_signs_off(): void
    {
        $choose = fn (int $most, float $approached = 0): array => Choice::of([
            new Choosable('a', 80, Part::Shapes, 1), new Choosable('b', 70, Part::User, 1),
            new Choosable('c', 62, Part::User, 2), new Choosable('d', 55, Part::SignsOff, 1),
            new Choosable('e', 19.9, Part::SignsOff, 1),
        ], $most, $approached)->taken;

        self::assertSame(['a', 'c', 'b', 'd'], $choose(4));
        self::assertSame(['a', 'c', 'd'], $choose(3), 'the last makes room for who signs off');
        self::assertSame(['d'], $choose(3, 2));
        self::assertSame([], $choose(3, 3));
        self::assertSame([1, 4, 4, 2], array_map(Choice::most(...), [3, 420, null, 11]));
    }

    public function test_everybody_skipped_has_a_reason(): void
    {
        $choice = Choice::of([
            new Choosable(1, 80, Part::SignsOff, keptOut: true), new Choosable(2, null, null),
            new Choosable(3, 60, Part::User, reserved: true), new Choosable(4, 60, Part::User, approachedDaysAgo: 30),
            new Choosable(5, 60, Part::User, approachedDaysAgo: 31), new Choosable(6, 60, Part::User, reachable: false),
            new Choosable(7, 12, Part::User), new Choosable(8, 59, Part::User),
            new Choosable(9, 90, Part::User, held: true),
        ], 1);

        self::assertSame([5], $choice->taken);
        self::assertEquals(
            [
                1 => Skip::KeptOut, 2 => Skip::NotEligible, 3 => Skip::Reserved, 4 => Skip::Approached,
                6 => Skip::NoWay, 7 => Skip::Below20, 9 => Skip::Held, 8 => Skip::AccountFull,
            ],
            $choice->skipped,
        );
    }

    public function test_never_more_than_allowed_and_everyone_once(): void
    {
        $contact = Generators::map(
            fn (array $c): Choosable => new Choosable(
                spl_object_id((object) $c).'-'.random_int(0, PHP_INT_MAX), $c[0], $c[1], $c[2], $c[3] > 0,
            ),
            Generators::tuple(
                Generators::choose(0, 100),
                Generators::elements(...Part::cases()),
                Generators::choose(0, 7),
                Generators::choose(0, 4),
            ),
        );
        $this->limitTo(100)
            ->forAll(Generators::seq($contact), Generators::choose(1, 4), Generators::choose(0, 3))->then(function (
                array $contacts,
                int $most,
                int $approached,
            ): void {
                $choice = Choice::of($contacts, $most, $approached);
                self::assertLessThanOrEqual(max(0, $most - $approached), count($choice->taken));
                self::assertCount(count($contacts), [...$choice->taken, ...array_keys($choice->skipped)]);
                $best = max(
                    [0, ...array_map(fn (Choosable $c): float => $c->reachable ? (float) $c->priority : 0, $contacts)],
                );
                self::assertSame($best >= 20 && $most > $approached, $choice->taken !== []);
            });
    }

    private function role(string $title, ?int $headcount, ?string $country = null): ?RoleOfContact
    {
        return RoleOfContact::best(
            [$this->maintenance()],
            TitleReader::standard()->read($title, $country, $headcount),
            $title,
            $country,
            $headcount,
        );
    }

    private function maintenance(): BuyerRole
    {
        return new BuyerRole(
            'Maintenance',
            BusinessFunction::Maintenance->bit(),
            BusinessFunction::Operations->bit() | BusinessFunction::Engineering->bit(),
        );
    }
}
