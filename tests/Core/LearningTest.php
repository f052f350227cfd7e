<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Learning\Kendall;
use Luftig\Core\Learning\Learned;
use Luftig\Core\Learning\LookBack;
use Luftig\Core\Learning\Matrix;
use Luftig\Core\Learning\Observation;
use Luftig\Core\Learning\Regression;
use Luftig\Core\Learning\SourceConfidence;
use Luftig\Core\Mistake;
use Luftig\Core\Priority\PointLines;
use Luftig\Core\Priority\Points;
use Luftig\Core\Search\Wilson;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Rules 20 and 22: weights from results, and looking back at rankings. */
final class LearningTest extends TestCase
{
    use TestTrait;

    private const KINDS = ['hiring' => 11.25, 'new_leader' => 13.75, 'decline' => 8.75];

    public function test_a_matrix_is_solved_and_its_determinant_known(): void
    {
        $matrix = Matrix::of([[4.0, 2.0], [2.0, 3.0]]);
        // 4x + 2y = 2, 2x + 3y = 5: x = −½, y = 2; the determinant is 8, the inverse [[3, −2], [−2, 4]] / 8.
        self::assertEqualsWithDelta([-.5, 2.0], $matrix->solve([2.0, 5.0]), 1e-12);
        self::assertEqualsWithDelta(log(8), $matrix->logDeterminant(), 1e-12);
        self::assertEqualsWithDelta([.375, .5], $matrix->inverseDiagonal(), 1e-12);
    }

    public function test_one_line_is_where_the_slope_of_the_posterior_ends(): void
    {
        // Without features but the intercept: the share of answers, and an evidence of −n·H − ½ log(n·p·(1 − p)).
        $fit = Regression::fit(array_fill(0, 8, [1.0]), [true, true, ...array_fill(0, 6, false)], [], []);
        self::assertEqualsWithDelta(log(2 / 6), $fit->lines[0], 1e-9);
        self::assertEqualsWithDelta(2 * log(.25) + 6 * log(.75) - log(8 * .25 * .75) / 2, $fit->evidence, 1e-6);
        self::assertEqualsWithDelta(1 / sqrt(1.5), $fit->deviations[0], 1e-6);
        self::assertEqualsWithDelta(.25, $fit->chance([1.0]), 1e-9);
    }

    public function test_the_optimum_is_one_and_the_evidence_is_laplaces(): void
    {
        $this->limitTo(25)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $random = new Randomizer(new Mt19937($seed));
            [$features, $answered] = $this->some($random, 60);
            [$means, $widths] = [[1.0, -.5], [.8, 1.5]];
            $fit = Regression::fit($features, $answered, $means, $widths);
            $posterior = function (array $lines) use ($features, $answered, $means, $widths): float {
                $sum = 0.0;
                foreach ($features as $row => $x) {
                    $p = 1 / (1 + exp(-array_sum(array_map(fn ($a, $b) => $a * $b, $lines, $x))));
                    $sum += log($answered[$row] ? $p : 1 - $p);
                }
                foreach ($means as $k => $mean) {
                    $z = ($lines[$k + 1] - $mean) / $widths[$k];
                    $sum += log(exp(-$z ** 2 / 2) / ($widths[$k] * sqrt(2 * M_PI)));
                }

                return $sum;
            };
            $at = $posterior($fit->lines);
            $h = 1e-4;
            $hessian = [];
            for ($i = 0; $i < 3; $i++) {
                foreach ([$h, -$h] as $by) {
                    $moved = $fit->lines;
                    $moved[$i] += $by;
                    self::assertLessThanOrEqual($at, $posterior($moved), "seed $seed");
                }
                for ($j = 0; $j < 3; $j++) {
                    $value = 0.0;
                    foreach ([[1, 1, 1], [1, -1, -1], [-1, 1, -1], [-1, -1, 1]] as [$a, $b, $sign]) {
                        $moved = $fit->lines;
                        $moved[$i] += $a * $h;
                        $moved[$j] += $b * $h;
                        $value -= $sign * $posterior($moved) / (4 * $h * $h);
                    }
                    $hessian[$i][$j] = $value;
                }
            }
            $determinant = $hessian[0][0] * ($hessian[1][1] * $hessian[2][2] - $hessian[1][2] * $hessian[2][1])
                - $hessian[0][1] * ($hessian[1][0] * $hessian[2][2] - $hessian[1][2] * $hessian[2][0])
                + $hessian[0][2] * ($hessian[1][0] * $hessian[2][1] - $hessian[1][1] * $hessian[2][0]);
            self::assertEqualsWithDelta($at - log($determinant) / 2, $fit->evidence, 1e-3, "seed $seed");
        });
    }

    /** @return array{list<list<float>>, list<bool>} */
    private function some(Randomizer $random, int $many): array
    {
        $features = $answered = [];
        for ($i = 0; $i < $many; $i++) {
            $features[] = [1.0, $random->getInt(0, 100) / 100, $random->getInt(0, 200) / 100];
            $answered[] = $random->getInt(0, 2) === 0;
        }

        return [$features, $answered];
    }

    public function test_what_makes_people_answer_is_found_and_what_was_never_seen_stays(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $part = fn (): float => $random->getInt(0, 1000) / 1000;
        $observations = [];
        for ($i = 0; $i < 1500; $i++) {
            [$fit, $access] = [$part(), $part()];
            $kinds = ['hiring' => $part(), 'new_leader' => $random->getInt(0, 1) * $part()];
            // Hiring says nothing here, and a new leader much more than is thought.
            $z = -3 + 1.5 * $fit + 1 * $access + 5 * $fit * $kinds['new_leader'];
            $observations[] = new Observation($part() < 1 / (1 + exp(-$z)), $fit, $access, $kinds);
        }
        $learned = Learned::from(25, 12, self::KINDS, $observations);
        self::assertTrue($learned->isEnough);
        self::assertCount(8, $learned->tried);
        self::assertSame(max(array_column($learned->tried, 'evidence')), $learned->evidence);
        self::assertGreaterThan(35, $learned->kinds['new_leader']->after);
        self::assertLessThan(8, $learned->kinds['hiring']->after);
        self::assertTrue($learned->kinds['new_leader']->low < 50 && $learned->kinds['new_leader']->high > 50);
        self::assertSame(13.75, $learned->kinds['new_leader']->before);
        $untold = $learned->kinds['decline'];
        self::assertEqualsWithDelta(8.75, $untold->after, 1e-6);
        // Of what was never seen only the prior speaks: 1.645 of its width, in tenths, to either side.
        self::assertEqualsWithDelta(16.4485 * $learned->width, $untold->high - $untold->after, 1e-2);
        $strong = $learned->chance(new Observation(false, .9, .9, ['new_leader' => .9]));
        $weak = $learned->chance(new Observation(false, .9, .9, ['hiring' => .9]));
        self::assertTrue($strong > .85 && $weak < .45, "$strong, $weak");
    }

    public function test_another_shape_is_chosen_where_the_world_has_it(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $part = fn (): float => $random->getInt(0, 1000) / 1000;
        $observations = [];
        for ($i = 0; $i < 1500; $i++) {
            [$fit, $access, $kinds] = [$part(), $part(), ['hiring' => $part()]];
            // Nobody answers who cannot be reached.
            $z = -4 + 1.5 * $fit + ($access > .2 ? 3.5 : 0) + 2 * $kinds['hiring'];
            $observations[] = new Observation($part() < 1 / (1 + exp(-$z)), $fit, $access, $kinds);
        }
        $learned = Learned::from(25, 12, ['hiring' => 11.25], $observations);
        self::assertNotNull($learned->shape);
        self::assertGreaterThan(10, $learned->shape[1]->low, 'reachable');
    }

    public function test_too_few_results_of_either_sort_change_nothing(): void
    {
        $one = fn (bool $answered): Observation => new Observation($answered, .5, .5, ['hiring' => .3]);
        $results = fn (int $yes, int $no): array => [
            ...array_fill(0, $yes, $one(true)), ...array_fill(0, $no, $one(false)),
        ];
        foreach ([[14, 300], [300, 14], [0, 0]] as [$yes, $no]) {
            $learned = Learned::from(25, 12, self::KINDS, $results($yes, $no));
            self::assertFalse($learned->isEnough);
            self::assertSame([25.0, 25.0], [$learned->fit->before, $learned->fit->after]);
            self::assertSame([null, [], null], [$learned->width, $learned->tried, $learned->chance($one(true))]);
        }
        self::assertTrue(Learned::from(25, 12, self::KINDS, $results(15, 15))->isEnough);
        $this->expectException(Mistake::class);
        Learned::from(25, 12, [], $results(1, 1));
    }

    public function test_pairs_within_two_weeks_tell_how_well_a_ranking_told(): void
    {
        $day = 86_400.0;
        $back = LookBack::of([
            [0.0, true, 5.0], [13 * $day, false, 3.0], [14 * $day, false, 5.0], [14.1 * $day, false, 1.0],
            [28 * $day, true, 2.0],
        ]);
        // The first meets two: one lower, one alike; the last meets the three of two weeks before: two lower is wrong.
        self::assertSame(4, $back->pairs);
        // 1 + ½ of the first; of the last 5 > 2 loses, 1 < 2 wins (13 days and 15 days before is too long).
        self::assertEqualsWithDelta((1.5 + 1.0) / 4, $back->concordance, 1e-12);
        $none = LookBack::of([[0.0, true, 1.0]]);
        self::assertSame([0, null, null], [$none->pairs, $none->concordance, $none->low]);
        self::assertSame([[], 0], [LookBack::of([])->fifths, LookBack::of([])->pairs]);
    }

    public function test_looking_back_counts_what_a_plain_count_does_and_only_order_matters(): void
    {
        $this->limitTo(60)->forAll(Generators::seq(Generators::tuple(
            Generators::choose(0, 40), Generators::bool(), Generators::choose(0, 6),
        )))->then(function (array $given): void {
            $observations = array_map(
                fn (array $one): array => [86_400.0 * $one[0], $one[1], (float) $one[2]], $given,
            );
            [$pairs, $won] = [0, 0.0];
            foreach ($observations as [$at, $answered, $score]) {
                foreach ($observations as [$then, $other, $against]) {
                    if ($answered && ! $other && abs($at - $then) <= 14 * 86_400) {
                        $pairs++;
                        $won += $score > $against ? 1 : ($score === $against ? .5 : 0);
                    }
                }
            }
            $back = LookBack::of($observations);
            self::assertSame($pairs, $back->pairs);
            self::assertCount($given === [] ? 0 : 5, $back->fifths);
            self::assertSame(count($given), array_sum(array_column($back->fifths, 'of')));
            if ($pairs === 0) {
                self::assertNull($back->concordance);

                return;
            }
            self::assertEqualsWithDelta($won / $pairs, $back->concordance, 1e-12);
            self::assertLessThanOrEqual($back->concordance, $back->low);
            self::assertGreaterThanOrEqual($back->concordance, $back->high);
            $stretched = array_map(fn (array $one): array => [$one[0], $one[1], exp($one[2]) - 9], $observations);
            self::assertEqualsWithDelta($back->concordance, LookBack::of($stretched)->concordance, 1e-12);
            $turned = array_map(fn (array $one): array => [$one[0], $one[1], -$one[2]], $observations);
            self::assertEqualsWithDelta(1 - $back->concordance, LookBack::of($turned)->concordance, 1e-12);
        });
    }

    public function test_where_all_pairs_are_asked_the_interval_is_delongs(): void
    {
        $this->limitTo(30)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $random = new Randomizer(new Mt19937($seed));
            $some = fn (bool $answered, int $many): array => array_map(
                fn (): array => [(float) $random->getInt(0, 86_400), $answered, (float) $random->getInt(0, 9)],
                range(1, $many),
            );
            [$yes, $no] = [$some(true, $random->getInt(2, 12)), $some(false, $random->getInt(2, 12))];
            $psi = fn (array $a, array $b): float => ($a[2] <=> $b[2]) / 2 + .5;
            $mean = fn (array $values): float => array_sum($values) / count($values);
            $v10 = array_map(fn (array $a): float => $mean(array_map(fn (array $b): float => $psi($a, $b), $no)), $yes);
            $v01 = array_map(fn (array $b): float => $mean(array_map(fn (array $a): float => $psi($a, $b), $yes)), $no);
            $area = $mean($v10);
            $spread = fn (array $v): float => array_sum(array_map(fn (float $one): float => ($one - $area) ** 2, $v))
                / (count($v) - 1) / count($v);
            $by = 1.959963984540054 * sqrt($spread($v10) + $spread($v01));
            $back = LookBack::of([...$yes, ...$no]);
            self::assertEqualsWithDelta(
                [$area, max(0, $area - $by), min(1, $area + $by)], [$back->concordance, $back->low, $back->high], 1e-9,
            );
        });
    }

    public function test_answers_are_counted_in_each_fifth_of_the_ranking(): void
    {
        $back = LookBack::of(array_map(fn (int $i): array => [(float) $i, $i >= 9, (float) $i], range(0, 11)));
        // Twelve: two, two, three, two, three of them, the best first; the three last answered.
        self::assertSame([[2, 2], [1, 2], [0, 3], [0, 2], [0, 3]], array_map(
            fn (array $one): array => [$one['answered'], $one['of']], $back->fifths,
        ));
        self::assertEqualsWithDelta([.3424, 1.0], [$back->fifths[0]['low'], $back->fifths[0]['high']], 1e-4);
        self::assertSame([0.0, 1.0], Wilson::interval(0, 0));
        // One in twenty of 20, of 400: as the tables have it.
        self::assertEqualsWithDelta([.0089, .2361], Wilson::interval(1, 20), 1e-4);
        self::assertEqualsWithDelta([.0326, .0760], Wilson::interval(20, 400), 1e-4);
    }

    public function test_what_was_learned_becomes_rules_that_rank_as_it_does(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $part = fn (): float => $random->getInt(0, 1000) / 1000;
        $observations = [];
        for ($i = 0; $i < 600; $i++) {
            [$fit, $access] = [$part(), $part()];
            $kinds = ['hiring' => $part(), 'new_leader' => $part(), 'decline' => -$part()];
            $z = -2 + 2 * $fit + $access + 4 * $fit * $kinds['new_leader'] - 3 * $fit * $kinds['decline'];
            $observations[] = new Observation($part() < 1 / (1 + exp(-$z)), $fit, $access, $kinds);
        }
        $learned = Learned::from(25, 12, self::KINDS, $observations);
        $lines = $learned->rules(-40, $observations);
        $weights = $learned->weights();
        self::assertEqualsWithDelta($learned->kinds['new_leader']->after / 25, $weights['new_leader'], 1e-9);
        self::assertSame(0.0, $weights['decline'], 'it would speak for, and was set against');
        // In the mean, who was approached has as many points as before.
        $before = ['hiring' => .45, 'new_leader' => .55, 'decline' => .35];
        $mean = fn (PointLines $by, array $of): float => array_sum(array_map(
            fn (Observation $one): float => $one->points($by, $of), $observations,
        )) / 600;
        self::assertEqualsWithDelta($mean(new PointLines, $before), $mean($lines, $weights), 1e-6);
        // Where nothing is turned round, the points tell the chance.
        self::assertNull($learned->shape);
        $one = new Observation(false, .7, .3, ['new_leader' => .6, 'hiring' => .2]);
        self::assertEqualsWithDelta(
            $learned->chance($one),
            Points::chance($one->points($lines, $weights), (float) $learned->intercept - $lines->start / 10),
            1e-9,
        );
    }

    public function test_three_more_lines_start_where_they_are_set(): void
    {
        $one = fn (bool $answered): Observation => new Observation($answered, .9, .5, ['hiring' => .3]);
        $results = [...array_fill(0, 40, $one(true)), ...array_fill(0, 40, $one(false))];
        $learned = Learned::from(25, 12, ['hiring' => 11.25], $results, null, [4.0, -3.0, 5.0]);
        // One observation over and over tells nothing of any line: whatever is tried stays at what is set.
        foreach ($learned->shape ?? [] as $i => $line) {
            self::assertEqualsWithDelta([4.0, -3.0, 5.0][$i], $line->after, 1e-3);
            self::assertSame([4.0, -3.0, 5.0][$i], $line->before);
        }
        self::assertEqualsWithDelta(25.0, $learned->fit->after, 1e-3);
    }

    public function test_two_rankings_agree_as_far_as_their_pairs_do(): void
    {
        self::assertSame(1.0, Kendall::tau([1.0, 2.0, 3.0], [10.0, 20.0, 90.0]));
        self::assertSame(-1.0, Kendall::tau([1.0, 2.0, 3.0], [9.0, 5.0, 1.0]));
        // Of six pairs 1–3 and 2–3 stand the other way round, and in none is a tie: (4 − 2) / 6.
        self::assertEqualsWithDelta(1 / 3, Kendall::tau([1.0, 2.0, 3.0, 4.0], [2.0, 3.0, 1.0, 4.0]), 1e-12);
        self::assertNull(Kendall::tau([1.0, 1.0], [1.0, 2.0]));
        self::assertNull(Kendall::tau([], []));
        $some = Generators::vector(12, Generators::choose(0, 5));
        $this->limitTo(80)->forAll($some, $some)->then(function (array $a, array $b): void {
            [$a, $b] = [array_map(floatval(...), $a), array_map(floatval(...), $b)];
            $sum = $ofA = $ofB = 0;
            foreach ($a as $i => $x) {
                for ($j = 0; $j < $i; $j++) {
                    $sum += ($x <=> $a[$j]) * ($b[$i] <=> $b[$j]);
                    $ofA += ($x <=> $a[$j]) ** 2;
                    $ofB += ($b[$i] <=> $b[$j]) ** 2;
                }
            }
            $tau = Kendall::tau($a, $b);
            $ofA * $ofB === 0 ? self::assertNull($tau)
                : self::assertEqualsWithDelta($sum / sqrt($ofA * $ofB), $tau, 1e-12);
        });
    }

    public function test_a_source_is_as_sure_as_its_signals_were_and_as_it_was_set(): void
    {
        self::assertSame(.9, SourceConfidence::learned(.9, 0, 0));
        self::assertEqualsWithDelta((30 + 9) / 50, SourceConfidence::learned(.9, 30, 40), 1e-12);
        self::assertEqualsWithDelta(.6, SourceConfidence::learned(.6, 60, 100), 1e-12);
    }
}
