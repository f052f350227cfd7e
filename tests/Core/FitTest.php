<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Company\IndustryTree;
use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Fit\AnyOf;
use Luftig\Core\Fit\AnySite;
use Luftig\Core\Fit\Criterion;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Fit\OwnFact;
use Luftig\Core\Fit\Range;
use Luftig\Core\Fit\Says;
use Luftig\Core\Fit\TargetProfile;
use Luftig\Core\Fit\Within;
use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Mistake;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rule 4. */
final class FitTest extends TestCase
{
    use TestTrait;

    public function test_a_wish_has_shoulders_and_a_gate_has_none(): void
    {
        $range = new Range(CriterionField::Headcount, 40, 1500);
        $m = fn (int $heads, bool $gate = false): ?float => $range
            ->membership(new AccountFacts(headcount: $heads), $gate);

        self::assertSame([1.0, 1.0, 0.0, 0.0], [$m(40), $m(1500), $m(20), $m(3000)]);
        self::assertEqualsWithDelta(.5, $m((int) round(40 / sqrt(2))), .02, 'half-way down in the logarithm');
        self::assertEqualsWithDelta(.5, $m((int) round(1500 * sqrt(2))), .001);
        self::assertSame(0.0, $m(39, gate: true));
        self::assertNull($range->membership(new AccountFacts, false));
    }

    public function test_growth_falls_off_within_ten_percentage_points(): void
    {
        $range = new Range(CriterionField::Growth, .05, null);
        $m = fn (float $growth): ?float => $range->membership(new AccountFacts(growth: $growth), false);

        self::assertEqualsWithDelta(.5, $m(0.0), 1e-9);
        self::assertEqualsWithDelta(0.0, $m(-.05), 1e-9);
        self::assertSame(1.0, $m(9.0), 'an open end has no shoulder');
    }

    public function test_industries_match_through_the_tree(): void
    {
        $m = fn (string $wanted, string ...$codes): ?float => (new AnyOf(CriterionField::Industries, [$wanted]))
            ->membership(new AccountFacts(industries: $codes), false);

        self::assertSame(1.0, $m('23', '2310'), 'a class counts for its division');
        self::assertSame(1.0, $m('C', '2310'), 'and for its section');
        self::assertNull($m('2310', '23'), 'a division may hold the class or not');
        self::assertSame(.6, $m('23', '4690', '2310'), 'a side industry counts less');
        self::assertNull($m('23'));
    }

    public function test_variants_of_a_technology_are_one_and_an_empty_value_is_refused(): void
    {
        $runs = fn (string $asked, string $has): ?float => (new AnyOf(CriterionField::Technologies, [$asked]))
            ->membership(new AccountFacts(technologies: [$has]), false);
        self::assertSame(
            [1.0, 1.0, 0.0],
            [$runs('Vedliko-Plan', 'VedlikoPlan v2.1'), $runs('Tryklog', 'TRYKLOG 4'), $runs('Tryklog', 'Tryk')],
        );
        try {
            new AnyOf(CriterionField::PostalCode, ['41', ' ']);
            self::fail('An empty area would hold every place.');
        } catch (Mistake $mistake) {
            self::assertSame('any[1]', $mistake->at);
        }
    }

    public function test_a_fact_of_ones_own_is_met_by_its_values_and_unknown_without_one(): void
    {
        $m = fn (array $values, array $facts): ?float => (new OwnFact('Shifts', $values))
            ->membership(new AccountFacts(facts: $facts), true);
        self::assertSame([1.0, 1.0, 0.0, null], [
            $m(['two', 'Three'], ['shifts' => 'THREE ']), $m(['*'], ['shifts' => 'one']),
            $m(['three'], ['shifts' => 'one']), $m(['*'], ['beds' => 'three']),
        ]);
        self::assertSame(1.0, (new OwnFact('0', ['*']))->membership(new AccountFacts(facts: ['0' => 'x']), true));
        foreach ([[' ', ['x'], 'fact'], ['Shifts', ['x', ' '], 'any[1]']] as [$name, $values, $at]) {
            try {
                new OwnFact($name, $values);
                self::fail('A fact without a name, or an empty value, says nothing.');
            } catch (Mistake $mistake) {
                self::assertSame($at, $mistake->at);
            }
        }
    }

    public function test_a_number_of_ones_own_has_bounds_as_others_have(): void
    {
        $chairs = fn (array $numbers, bool $gate = false): ?float => (new Range(
            CriterionField::Number, 4, 100, ' Chairs',
        ))->membership(new AccountFacts(facts: ['chairs' => 'many'], numbers: $numbers), $gate);
        self::assertSame([1.0, 1.0, 0.0, 0.0, null, null], [
            $chairs(['chairs' => 4.0]), $chairs(['chairs' => 100.0]), $chairs(['chairs' => 200.0]),
            $chairs(['chairs' => 101.0], gate: true), $chairs(['beds' => 50.0]), $chairs([]),
        ]);
        // log2(200 / 141.42) = .5
        self::assertEqualsWithDelta(.5, $chairs(['chairs' => 100 * sqrt(2)]), 1e-9);
        self::assertSame(
            ['chairs' => 7.0],
            (new AccountFacts(numbers: ['chairs' => 7.0]))->withHeadcount(3)->numbers,
        );
        $this->expectExceptionMessage('Say which fact of your own is meant.');
        new Range(CriterionField::Number, 4, 100);
    }

    public function test_bounds_do_not_pass_one_by_the_last_digit(): void
    {
        $wishes = array_map(
            fn (float $weight): Criterion => new Criterion(
                'c', Mode::Prefer, new AnyOf(CriterionField::Country, ['SE']), $weight,
            ),
            [.1, .2, .3, .7, 1.1, 2.3],
        );
        $fit = (new TargetProfile(...$wishes))->fitOf(new AccountFacts(country: 'SE'));
        self::assertSame([1.0, 1.0, 1.0, 1.0], [$fit->value, $fit->coverage, $fit->low, $fit->high]);
    }

    public function test_places_technologies_and_words(): void
    {
        $account = new AccountFacts(
            country: 'se',
            postalCode: '411 03',
            place: new Coordinates(57.7089, 11.9746),
            technologies: ['Tryklog'],
            text: 'Three shifts, clean dry air',
        );
        $any = fn (CriterionField $field, string ...$values): ?float => (new AnyOf($field, $values))
            ->membership($account, true);

        self::assertSame([1.0, 1.0, 0.0, 1.0], [
            $any(CriterionField::Country, 'SE'), $any(CriterionField::PostalCode, '41'),
            $any(CriterionField::PostalCode, '42'), $any(CriterionField::Technologies, 'tryklog'),
        ]);
        self::assertSame(1.0, (new Within(new Coordinates(59.3293, 18.0686), 400))->membership($account, true));
        self::assertSame(0.0, (new Within(new Coordinates(59.3293, 18.0686), 390))->membership($account, true));
        $centre = new Coordinates(59.3293, 18.0686);
        $km = $centre->distanceTo($account->place ?? $centre);
        self::assertGreaterThan(390, $km);
        self::assertSame(1.0, (new Within($centre, $km))->membership($account, true), 'the edge is within');
        self::assertSame(1.0, (new Says(Query::parse('"three shifts" -trading')))->membership($account, true));
        self::assertEqualsWithDelta(
            396.9,
            (new Coordinates(57.7089, 11.9746))->distanceTo(new Coordinates(59.3293, 18.0686)),
            .1,
        );
    }

    public function test_gates_unknowns_and_bounds(): void
    {
        $profile = new TargetProfile(
            new Criterion('makes things', Mode::Must, new AnyOf(CriterionField::Industries, ['C'])),
            new Criterion('no rival', Mode::MustNot, new AnyOf(CriterionField::Industries, ['2813'])),
            new Criterion('size', Mode::Prefer, new Range(CriterionField::Headcount, 40, 1500), 3),
            new Criterion('sites', Mode::Prefer, new Range(CriterionField::Sites, 2, null), 1),
        );
        $fit = $profile->fitOf(new AccountFacts(headcount: 100, industries: ['2310']));
        self::assertEqualsWithDelta([.875, .75, .75, 1.0], [$fit->value, $fit->coverage, $fit->low, $fit->high], 1e-12);

        $unverified = $profile->fitOf(new AccountFacts(headcount: 100, sites: 2));
        self::assertSame(
            [.8, null, ['makes things', 'no rival']],
            [$unverified->value, $unverified->out, $unverified->unverified],
        );

        self::assertSame('makes things', $profile->fitOf(new AccountFacts(industries: ['4690']))->out);
        self::assertSame(
            'no rival',
            $profile->fitOf(new AccountFacts(industries: ['4690', '2813']))->out,
            'a side industry meets a gate',
        );
        self::assertSame([1.0, 1.0], [
            (new TargetProfile)->fitOf(new AccountFacts)->value,
            (new TargetProfile)->fitOf(new AccountFacts)->coverage,
        ]);
    }

    public function test_fit_lies_between_its_bounds_and_coverage_tells_how_far_apart_they_are(): void
    {
        $this->limitTo(100)->forAll(
            Generators::choose(1, 9),
            Generators::choose(1, 9),
            Generators::elements(null, 5, 30, 100, 2000),
            Generators::elements(null, 1, 3),
        )->then(function (int $a, int $b, ?int $heads, ?int $sites): void {
            $fit = (new TargetProfile(
                new Criterion('size', Mode::Prefer, new Range(CriterionField::Headcount, 40, 1500), $a),
                new Criterion('sites', Mode::Prefer, new Range(CriterionField::Sites, 2, null), $b),
            ))->fitOf(new AccountFacts(headcount: $heads, sites: $sites));

            self::assertGreaterThanOrEqual($fit->low - 1e-12, $fit->value);
            self::assertLessThanOrEqual($fit->high + 1e-12, $fit->value);
            self::assertEqualsWithDelta(1 - $fit->coverage, $fit->high - $fit->low, 1e-12);
        });
    }

    public function test_the_fit_of_any_profile_is_what_the_rule_says(): void
    {
        $number = Generators::elements(null, 0, 1, 9, 10, 20, 39, 40, 57, 80, 100, 200, 5000);
        $criterion = Generators::tuple(
            Generators::elements(...Mode::cases()),
            Generators::choose(0, 4),
            Generators::elements(null, 10, 40),
            Generators::elements(null, 40, 100),
            Generators::choose(1, 9),
        );
        $account = Generators::tuple(
            $number,
            $number,
            Generators::elements(null, -.2, -.05, 0.0, .08, .1, .15, .2, .31),
            Generators::elements([], ['2310'], ['4690', '2310'], ['0111']),
            Generators::elements([], ['Tryklog'], ['Ordvika', 'tryklog']),
        );
        $this->limitTo(400)->forAll(Generators::seq($criterion), $account)->disableShrinking()->then(function (
            array $rows,
            array $facts,
        ): void {
            [$heads, $sites, $growth, $industries, $technologies] = $facts;
            $met = $unknown = $all = 0.0;
            $out = null;
            $unverified = $criteria = [];
            foreach ($rows as $i => [$mode, $what, $low, $high, $weight]) {
                $gate = $mode !== Mode::Prefer;
                [$test, $m] = match ($what) {
                    0 => [new Range(CriterionField::Headcount, $low, $high), self::within($heads, $low, $high, $gate)],
                    1 => [new Range(CriterionField::Sites, $low, $high), self::within($sites, $low, $high, $gate)],
                    2 => [
                        new Range(CriterionField::Growth, $low === null ? null : .1, $high === null ? null : .2),
                        self::grows($growth, $low === null ? null : .1, $high === null ? null : .2, $gate),
                    ],
                    3 => [new AnyOf(CriterionField::Industries, ['C', '01']), match ($industries) {
                        [] => null,
                        ['4690', '2310'] => .6,
                        default => 1.0,
                    }],
                    default => [
                        new AnyOf(CriterionField::Technologies, ['TRYKLOG', 'Vedliko']),
                        $technologies === [] ? null : 1.0,
                    ],
                };
                $criteria[] = new Criterion("c$i", $mode, $test, $weight);
                if ($gate) {
                    $m === null ? $unverified[] = "c$i" : $out ??= ($m > 0) === ($mode === Mode::Must) ? null : "c$i";
                } else {
                    $all += $weight;
                    $m === null ? $unknown += $weight : $met += $weight * $m;
                }
            }
            $factor = $unverified === [] ? 1.0 : .8;
            $of = fn (float $part): float => $all === 0.0 ? $factor : $factor * $part / $all;
            $fit = (new TargetProfile(...$criteria))->fitOf(new AccountFacts(
                headcount: $heads, growth: $growth, sites: $sites, industries: $industries, technologies: $technologies,
            ));

            self::assertEqualsWithDelta(
                [$of($met + .5 * $unknown), $of($met), $of($met + $unknown), $all === 0.0 ? 1.0 : 1 - $unknown / $all],
                [$fit->value, $fit->low, $fit->high, $fit->coverage],
                1e-12,
            );
            self::assertSame([$out, $unverified], [$fit->out, $fit->unverified]);
            self::assertCount(count($rows), $fit->memberships);
        });
    }

    private static function within(?int $value, ?int $low, ?int $high, bool $gate): ?float
    {
        $off = match (true) {
            $value === null => null,
            $low !== null && $value < $low => $value === 0 ? 1.0 : log($low / $value, 2),
            $high !== null && $value > $high => log($value / $high, 2),
            default => 0.0,
        };

        return $off === null ? null : ($gate ? (float) ($off === 0.0) : max(0.0, 1 - $off));
    }

    private static function grows(?float $value, ?float $low, ?float $high, bool $gate): ?float
    {
        $off = $value === null ? null : max(0.0, ($low ?? $value) - $value, $value - ($high ?? $value));

        return $off === null ? null : ($gate ? (float) ($off === 0.0) : max(0.0, 1 - 10 * $off));
    }

    public function test_every_class_lies_in_its_section(): void
    {
        $sections = [
            'A' => '01', 'B' => '05', 'C' => '10', 'D' => '35', 'E' => '36', 'F' => '41', 'G' => '45', 'H' => '49',
            'I' => '55', 'J' => '58', 'K' => '64', 'L' => '68', 'M' => '69', 'N' => '77', 'O' => '84', 'P' => '85',
            'Q' => '86', 'R' => '90', 'S' => '94', 'T' => '97', 'U' => '99',
        ];
        $none = ['00', '04', '34', '40', '44', '48', '54', '57', '67', '76', '83', '89'];
        $section = null;
        for (
            $division = '00'; $division <= '99'
            && strlen($division) === 2; $division = sprintf('%02d', (int) $division + 1)
        ) {
            $section = array_search($division, $sections, true) ?: $section;
            $own = in_array($division, $none, true) ? null : $section;
            self::assertSame(
                array_filter([$division.'10', $division.'1', $division, $own]),
                IndustryTree::path($division.'10'),
            );
            foreach (array_keys($sections) as $one) {
                self::assertSame($one === $own, IndustryTree::holds(strtolower($one), $division.'1'));
            }
        }
    }

    public function test_what_cannot_be_is_told_and_its_bounds_are_taken(): void
    {
        new Range(CriterionField::Sites, 2, 2);
        new Coordinates(90, -180);
        new Criterion('gates have no weight', Mode::Must, new Range(CriterionField::Sites, 1, null), 0);
        self::assertSame([1.0, 0.0], [
            (new Within(new Coordinates(50, 10), .5))
                ->membership(new AccountFacts(place: new Coordinates(50, 10)), false),
            (new Within(new Coordinates(90, 0), 19_999))
                ->membership(new AccountFacts(place: new Coordinates(-90, 0)), false),
        ]);
        self::assertEqualsWithDelta(
            M_PI * 6371.0088,
            (new Coordinates(0, 90))->distanceTo(new Coordinates(0, -90)),
            1e-6,
        );
        self::assertSame([null, null], [
            (new Says(Query::parse('-air')))->membership(new AccountFacts(text: "  \n"), false),
            (new Says(Query::parse('-air')))->membership(new AccountFacts, false),
        ]);
        $makes = [
            fn () => new Range(CriterionField::Country, 1, 2), fn () => new Range(CriterionField::Sites, 3, 2),
            fn () => new AnyOf(CriterionField::Sites, ['2']), fn () => new Within(new Coordinates(0, 0), 0),
            fn () => new Coordinates(90.1, 0), fn () => new Coordinates(0, -180.1),
            fn () => new Criterion('none', Mode::Prefer, new Range(CriterionField::Sites, 1, 2), 0),
        ];
        foreach ($makes as $i => $make) {
            try {
                $make();
                self::fail("Number $i was taken.");
            } catch (Mistake $mistake) {
                self::assertStringEndsWith('.', $mistake->getMessage());
            }
        }
    }

    /** @return array<string, array{float|null, AccountFacts}> */
    public static function sites(): array
    {
        $sweden = new AccountFacts(country: 'SE');
        $denmark = new AccountFacts(country: 'DK');
        $unknown = new AccountFacts;

        return [
            'the headquarters' => [1.0, new AccountFacts(country: 'SE', otherSites: [$denmark])],
            'another site' => [1.0, new AccountFacts(country: 'DK', otherSites: [$denmark, $sweden])],
            'none' => [0.0, new AccountFacts(country: 'DK', otherSites: [$denmark])],
            'an unknown headquarters, another that is not' => [0.0, new AccountFacts(otherSites: [$denmark])],
            'an unknown headquarters, another that is' => [1.0, new AccountFacts(otherSites: [$unknown, $sweden])],
            'nothing known of any' => [null, new AccountFacts(otherSites: [$unknown])],
            'nothing known at all' => [null, $unknown],
        ];
    }

    #[DataProvider('sites')]
    public function test_any_site_may_answer_where_the_profile_says_so(?float $membership, AccountFacts $account): void
    {
        $question = new AnySite(CriterionField::Country, new AnyOf(CriterionField::Country, ['se']));

        self::assertSame($membership, $question->membership($account, true));
    }

    public function test_a_radius_asks_each_site_and_a_headcount_none(): void
    {
        $near = new Within(new Coordinates(57.7, 11.97), 50);
        $account = new AccountFacts(
            place: new Coordinates(52.5, 13.4),
            otherSites: [new AccountFacts(place: new Coordinates(57.5, 12.1))],
        );
        self::assertSame(0.0, $near->membership($account, true));
        self::assertSame(1.0, (new AnySite(CriterionField::Place, $near))->membership($account, true));

        $this->expectExceptionMessage('A criterion on headcount has nothing to do with sites.');
        new AnySite(CriterionField::Headcount, new Range(CriterionField::Headcount, 1, 2));
    }
}
