<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Priority\Points;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Counts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\KindRule;
use Luftig\Core\Signal\Pulse;
use Luftig\Core\Signal\Series;
use Luftig\Core\Signal\Signal;
use Luftig\Core\Signal\Stage;
use Luftig\Core\Signal\Timing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rules 1 to 3. */
final class TimingTest extends TestCase
{
    use TestTrait;

    private const NOW = 1795424400.0; // 2026-11-23T09:00:00Z

    private const DAY = 86400;

    public function test_the_worked_example_comes_out(): void
    {
        $series = Series::group([
            new Signal('round', Kind::Funding, self::NOW - 6 * self::DAY, .5, 1),
            new Signal('planner', Kind::Hiring, self::NOW - 3 * self::DAY, .75, .9),
            new Signal('engineer', Kind::Hiring, self::NOW - 40 * self::DAY, .5, .9),
            new Signal('head', Kind::NewLeader, self::NOW - 20 * self::DAY, 1, 1),
        ]);
        $timing = Timing::of(Catalogue::standard(), $series, self::NOW);

        self::assertEqualsWithDelta(1.12563, $timing->push, 5e-6);
        self::assertEqualsWithDelta(.67555, $timing->value(), 5e-6);
        $found = [];
        foreach ($timing->signals as $signal) {
            $found[$signal->id] = [round($signal->push, 5), round((float) $signal->share, 4)];
        }
        self::assertSame(
            [
                'head' => [.55, .4886], 'planner' => [.26036, .2313], 'round' => [.25, .2221],
                'engineer' => [.06527, .058],
            ],
            $found,
        );
        self::assertSame('2027-01-31', self::day(Pulse::of(Catalogue::standard(), $series, self::NOW)->actBy()));
    }

    /** @return array<string, array{float, float, Stage}> */
    public static function lives(): array
    {
        return [
            'announced' => [-1, 0, Stage::Announced],
            'just happened' => [0, .3, Stage::Rising],
            'half-way up the ramp' => [7, .65, Stage::Rising],
            'at the top' => [14, 1, Stage::Fresh],
            'last held day' => [59.9, 1, Stage::Fresh],
            'after one half-life' => [105, .5, Stage::Fresh],
            'after two' => [150, .25, Stage::Fading],
            'after four' => [240, .0625, Stage::Spent],
        ];
    }

    #[DataProvider('lives')]
    public function test_a_new_leader_rises_holds_and_fades(float $age, float $freshness, Stage $stage): void
    {
        $rule = Catalogue::standard()->of(Kind::NewLeader);

        self::assertEqualsWithDelta($freshness, $rule->freshness($age), 1e-12);
        self::assertSame($stage, $rule->stage($age));
    }

    public function test_what_is_usual_says_little(): void
    {
        $at = fn (float $days, ?float $since = null): Signal => new Signal(
            "d$days",
            Kind::Hiring,
            self::NOW - $days * self::DAY,
            1,
            1,
            $since === null ? null : self::NOW - $since * self::DAY,
        );
        $novelty = fn (Signal ...$signals): float => Series::group($signals)['hiring']->novelty(count($signals) - 1);

        self::assertSame(1.0, $novelty($at(0)));
        self::assertSame(1.0, $novelty($at(0), $at(30)), 'exactly 30 days before does not count');
        self::assertEqualsWithDelta(1 / (1 + 2 / 6), $novelty($at(0), $at(30.1), $at(365)), 1e-12);
        self::assertSame(1.0, $novelty($at(0), $at(365.1)));
        self::assertEqualsWithDelta(
            1 / (1 + 2 / 6), $novelty($at(0, since: 181)), 1e-12, 'two whole quarters since it began',
        );
    }

    public function test_spent_and_announced_signals_push_nothing_and_take_no_place(): void
    {
        $series = Series::group([
            new Signal('old', Kind::News, self::NOW - 100 * self::DAY, 1, 1),
            new Signal('coming', Kind::News, self::NOW + self::DAY, 1, 1),
            new Signal('live', Kind::News, self::NOW - self::DAY, .01, 1),
        ]);
        $byId = [];
        foreach (Timing::of(Catalogue::standard(), $series, self::NOW, history: true)->signals as $signal) {
            $byId[$signal->id] = $signal;
        }

        self::assertSame([0.0, Stage::Spent], [$byId['old']->push, $byId['old']->stage]);
        self::assertSame([0.0, Stage::Announced], [$byId['coming']->push, $byId['coming']->stage]);
        self::assertSame(0, $byId['live']->place);
        self::assertGreaterThan(0, $byId['live']->push);
    }

    public function test_there_is_a_hurry_where_half_is_gone_within_180_days(): void
    {
        $actBy = function (float $hold): ?string {
            $rule = new KindRule(Kind::Expansion, .5, 0, $hold, 75);
            $series = Series::group([new Signal(1, Kind::Expansion, self::NOW, 1, 1)]);
            $day = Pulse::of(Catalogue::standard()->with($rule), $series, self::NOW)->actBy();

            return $day === null ? null : self::day($day);
        };
        // Half is gone 75 days after the hold: at 9 of day 175, so at its noon, and not at that of the day before.
        self::assertSame('2027-05-16', $actBy(100));
        self::assertSame('2027-05-21', $actBy(105));
        self::assertNull($actBy(106));
    }

    public function test_an_offer_decides_what_counts(): void
    {
        $series = Series::group([new Signal(1, Kind::Growth, self::NOW, 1, 1)]);
        $push = fn (Counts $counts): float => Timing::of(
            Catalogue::standard()->with(Catalogue::standard()->of(Kind::Growth)->with(counts: $counts)),
            $series,
            self::NOW,
        )->push;

        self::assertSame([.35, -.35, 0.0], [$push(Counts::For), $push(Counts::Against), $push(Counts::Ignored)]);
    }

    public function test_a_peak_that_is_not_above_nothing_gives_no_day(): void
    {
        $series = Series::group([new Signal(1, Kind::RivalSigned, self::NOW - 5 * self::DAY, 1, 1)]);

        self::assertNull(Pulse::of(Catalogue::standard(), $series, self::NOW)->actBy());
        self::assertNull(Pulse::of(Catalogue::standard(), [], self::NOW)->actBy());
    }

    public function test_act_by_is_what_looking_at_every_day_finds(): void
    {
        $this->limitTo(150)->forAll(self::signals())->disableShrinking()->then(function (array $signals): void {
            $series = Series::group($signals);

            self::assertEqualsWithDelta(
                Timing::of(Catalogue::standard(), $series, self::NOW)->push,
                Pulse::of(Catalogue::standard(), $series, self::NOW)->at(self::NOW),
                1e-9,
            );
            self::assertSame(self::slowActBy($signals, self::NOW), self::day(
                Pulse::of(Catalogue::standard(), $series, self::NOW)->actBy(),
            ));
        });
    }

    public function test_the_push_of_days_before_is_what_it_was_then_but_for_what_came_since(): void
    {
        $this->limitTo(100)->forAll(self::signals(), Generators::choose(0, 60), Generators::choose(0, 60))
            ->disableShrinking()->then(function (
                array $signals,
                int $back,
                int $days,
            ): void {
                $then = self::NOW - min($back, $days) * self::DAY;
                $known = array_filter($signals, fn (Signal $signal): bool => $signal->at <= $then);
                self::assertEqualsWithDelta(
                    Timing::of(Catalogue::standard(), Series::group($known), $then)->push,
                    Pulse::of(Catalogue::standard(), Series::group($signals), self::NOW, back: $back)->at($then),
                    1e-9,
                );
            });
    }

    public function test_act_by_does_not_move_while_no_fact_changes(): void
    {
        $this->limitTo(60)->forAll(self::signals(), Generators::choose(1, 200))->disableShrinking()->then(function (
            array $signals,
            int $days,
        ): void {
            $series = Series::group(array_filter($signals, fn (Signal $signal): bool => $signal->at <= self::NOW));

            self::assertSame(
                Pulse::of(Catalogue::standard(), $series, self::NOW)->actBy(),
                Pulse::of(Catalogue::standard(), $series, self::NOW + $days * self::DAY)->actBy(),
            );
        });
    }

    public function test_shares_add_up_to_one_and_pushes_to_the_push(): void
    {
        $this->limitTo(100)->forAll(self::signals())->disableShrinking()->then(function (array $signals): void {
            $timing = Timing::of(Catalogue::standard(), Series::group($signals), self::NOW, history: true);
            $shares = array_sum(array_map(fn ($s): float => $s->share ?? 0.0, $timing->signals));

            self::assertCount(count($signals), $timing->signals);
            self::assertEqualsWithDelta($timing->hasReason() ? 1.0 : 0.0, $shares, 1e-9);
            self::assertEqualsWithDelta(
                $timing->push,
                array_sum(array_map(fn ($s): float => $s->push, $timing->signals)),
                1e-9,
            );
        });
    }

    public function test_one_more_signal_that_counts_never_lowers_and_one_more_drag_never_raises_the_points(): void
    {
        $this->limitTo(100)->forAll(self::signals(), Generators::choose(0, 29), Generators::choose(0, 100))
            ->disableShrinking()->then(function (
                array $signals,
                int $age,
                int $strength,
            ): void {
                // At equal novelty: all of the last 29 days, so that none is usual for another.
                $recent = array_map(
                    fn (Signal $s): Signal => new Signal(
                        $s->id,
                        $s->kind,
                        self::NOW - fmod(abs(self::NOW - $s->at), 29 * self::DAY),
                        $s->strength,
                        $s->confidence,
                    ),
                    $signals,
                );
                $points = fn (array $all): float => Points::of(
                    .7,
                    Timing::of(Catalogue::standard(), Series::group($all), self::NOW)->push,
                    .4,
                )
                    ->total();
                $more = fn (Kind $kind): Signal => new Signal(
                    'more', $kind, self::NOW - $age * self::DAY, $strength / 100, 1,
                );

                self::assertGreaterThanOrEqual($points($recent) - 1e-9, $points([...$recent, $more(Kind::Hiring)]));
                self::assertLessThanOrEqual($points($recent) + 1e-9, $points([...$recent, $more(Kind::HiringFreeze)]));
            });
    }

    public function test_a_life_that_cannot_be_is_told(): void
    {
        $this->expectExceptionMessage('A half-life is a number of days above 0.');
        new KindRule(Kind::News, .2, 0, 3, 0);
    }

    private static function signals(): mixed
    {
        $one = Generators::tuple(
            Generators::elements(...Kind::cases()),
            Generators::choose(-20 * 24, 500 * 24),
            Generators::choose(0, 100),
            Generators::choose(40, 100),
        );

        return Generators::map(
            fn (array $rows): array => array_map(
                fn (array $row, int $i): Signal => new Signal(
                    $i, $row[0], self::NOW - $row[1] * 3600, $row[2] / 100, $row[3] / 100,
                ),
                $rows,
                array_keys($rows),
            ),
            Generators::bind(Generators::choose(0, 14), fn (int $n) => Generators::vector($n, $one)),
        );
    }

    /**
     * Rule 3 read aloud, with none of the shortcuts.
     *
     * @param  list<Signal>  $signals
     */
    private static function slowActBy(array $signals, float $now): ?string
    {
        $signals = array_values(array_filter($signals, fn (Signal $s): bool => $s->at <= $now));
        if ($signals === []) {
            return null;
        }
        $first = (int) floor(max(array_map(fn (Signal $s): float => $s->at, $signals)) / self::DAY);
        $pushes = [];
        for ($day = 0; $day <= 180; $day++) {
            $pushes[$day] = Timing::of(
                Catalogue::standard(),
                Series::group($signals),
                ($first + $day) * self::DAY + self::DAY / 2,
            )->push;
        }
        $peak = max($pushes);
        if ($peak <= 0) {
            return null;
        }
        for ($day = (int) array_search($peak, $pushes, true) + 1; $day <= 180; $day++) {
            if ($pushes[$day] < $peak / 2 * (1 - 1e-12)) {
                return self::day($first + $day - 1);
            }
        }

        return null;
    }

    private static function day(?int $day): ?string
    {
        return $day === null ? null : gmdate('Y-m-d', $day * self::DAY);
    }
}
