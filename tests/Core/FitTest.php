<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Mistake;
use Luftig\Core\Profile\AccountFacts;
use Luftig\Core\Profile\AnyOf;
use Luftig\Core\Profile\Criterion;
use Luftig\Core\Profile\Field;
use Luftig\Core\Profile\Mode;
use Luftig\Core\Profile\Range;
use Luftig\Core\Profile\Says;
use Luftig\Core\Profile\TargetProfile;
use Luftig\Core\Profile\Within;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\TestCase;

/** Rule 4. */
final class FitTest extends TestCase
{
    use TestTrait;

    public function test_a_wish_has_shoulders_and_a_gate_has_none(): void
    {
        $range = new Range(Field::Headcount, 40, 1500);
        $m = fn (int $heads, bool $gate = false): ?float => $range->membership(new AccountFacts(headcount: $heads), $gate);

        self::assertSame([1.0, 1.0, 0.0, 0.0], [$m(40), $m(1500), $m(20), $m(3000)]);
        self::assertEqualsWithDelta(.5, $m((int) round(40 / sqrt(2))), .02, 'half-way down in the logarithm');
        self::assertEqualsWithDelta(.5, $m((int) round(1500 * sqrt(2))), .001);
        self::assertSame(0.0, $m(39, gate: true));
        self::assertNull($range->membership(new AccountFacts, false));
    }

    public function test_growth_falls_off_within_ten_percentage_points(): void
    {
        $range = new Range(Field::Growth, .05, null);
        $m = fn (float $growth): ?float => $range->membership(new AccountFacts(growth: $growth), false);

        self::assertEqualsWithDelta(.5, $m(0.0), 1e-9);
        self::assertEqualsWithDelta(0.0, $m(-.05), 1e-9);
        self::assertSame(1.0, $m(9.0), 'an open end has no shoulder');
    }

    public function test_industries_match_through_the_tree(): void
    {
        $m = fn (string $wanted, string ...$codes): ?float => (new AnyOf(Field::Industries, [$wanted]))->membership(new AccountFacts(industries: $codes), false);

        self::assertSame(1.0, $m('23', '2310'), 'a class counts for its division');
        self::assertSame(1.0, $m('C', '2310'), 'and for its section');
        self::assertSame(0.0, $m('2310', '23'), 'a division not for its class');
        self::assertSame(.6, $m('23', '4690', '2310'), 'a side industry counts less');
        self::assertNull($m('23'));
    }

    public function test_places_technologies_and_words(): void
    {
        $account = new AccountFacts(country: 'se', postalCode: '411 03', place: new Coordinates(57.7089, 11.9746), technologies: ['Tryklog'], text: 'Three shifts, clean dry air');
        $any = fn (Field $field, string ...$values): ?float => (new AnyOf($field, $values))->membership($account, true);

        self::assertSame([1.0, 1.0, 0.0, 1.0], [$any(Field::Country, 'SE'), $any(Field::PostalCode, '41'), $any(Field::PostalCode, '42'), $any(Field::Technologies, 'tryklog')]);
        self::assertSame(1.0, (new Within(new Coordinates(59.3293, 18.0686), 400))->membership($account, true));
        self::assertSame(0.0, (new Within(new Coordinates(59.3293, 18.0686), 390))->membership($account, true));
        self::assertSame(1.0, (new Says(Query::parse('"three shifts" -trading')))->membership($account, true));
        self::assertEqualsWithDelta(396.9, (new Coordinates(57.7089, 11.9746))->distanceTo(new Coordinates(59.3293, 18.0686)), .1);
    }

    public function test_gates_unknowns_and_bounds(): void
    {
        $profile = new TargetProfile(
            new Criterion('makes things', Mode::Must, new AnyOf(Field::Industries, ['C'])),
            new Criterion('no rival', Mode::MustNot, new AnyOf(Field::Industries, ['2813'])),
            new Criterion('size', Mode::Prefer, new Range(Field::Headcount, 40, 1500), 3),
            new Criterion('sites', Mode::Prefer, new Range(Field::Sites, 2, null), 1),
        );
        $fit = $profile->fitOf(new AccountFacts(headcount: 100, industries: ['2310']));
        self::assertEqualsWithDelta([.875, .75, .75, 1.0], [$fit->value, $fit->coverage, $fit->low, $fit->high], 1e-12);

        $unverified = $profile->fitOf(new AccountFacts(headcount: 100, sites: 2));
        self::assertSame([.8, null, ['makes things', 'no rival']], [$unverified->value, $unverified->out, $unverified->unverified]);

        self::assertSame('makes things', $profile->fitOf(new AccountFacts(industries: ['4690']))->out);
        self::assertSame('no rival', $profile->fitOf(new AccountFacts(industries: ['4690', '2813']))->out, 'a side industry meets a gate');
        self::assertSame([1.0, 1.0], [(new TargetProfile)->fitOf(new AccountFacts)->value, (new TargetProfile)->fitOf(new AccountFacts)->coverage]);
    }

    public function test_fit_lies_between_its_bounds_and_coverage_tells_how_far_apart_they_are(): void
    {
        $this->limitTo(100)->forAll(Generators::choose(1, 9), Generators::choose(1, 9), Generators::elements(null, 5, 30, 100, 2000), Generators::elements(null, 1, 3))->then(function (int $a, int $b, ?int $heads, ?int $sites): void {
            $fit = (new TargetProfile(
                new Criterion('size', Mode::Prefer, new Range(Field::Headcount, 40, 1500), $a),
                new Criterion('sites', Mode::Prefer, new Range(Field::Sites, 2, null), $b),
            ))->fitOf(new AccountFacts(headcount: $heads, sites: $sites));

            self::assertGreaterThanOrEqual($fit->low - 1e-12, $fit->value);
            self::assertLessThanOrEqual($fit->high + 1e-12, $fit->value);
            self::assertEqualsWithDelta(1 - $fit->coverage, $fit->high - $fit->low, 1e-12);
        });
    }

    public function test_a_test_that_does_not_suit_its_field_is_told(): void
    {
        $this->expectException(Mistake::class);
        new Range(Field::Country, 1, 2);
    }
}
