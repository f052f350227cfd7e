<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Mistake;
use Luftig\Core\Reach\RelationStrength;
use Luftig\Core\Reach\Spans;
use PHPUnit\Framework\TestCase;

/** Rule 10, its edges. */
final class NetworkTest extends TestCase
{
    use TestTrait;

    public function test_a_connection_grows_with_exchanges_and_fades_with_time(): void
    {
        self::assertSame(.30, RelationStrength::ofConnection());
        self::assertSame(.30, RelationStrength::ofConnection(0, 3.0), 'without exchanges there is no last one');
        self::assertEqualsWithDelta(.30 + .25 + .25 * .5, RelationStrength::ofConnection(5, 0.0), 1e-12);
        self::assertEqualsWithDelta(.30 + .125 + .25 * .75, RelationStrength::ofConnection(10, 24.0), 1e-12);
        $this->limitTo(60)->forAll(Generators::choose(1, 200), Generators::choose(0, 300))->then(function (
            int $exchanges,
            int $months,
        ): void {
            $strength = RelationStrength::ofConnection($exchanges, (float) $months);
            self::assertGreaterThan(.30, $strength);
            self::assertLessThanOrEqual(.80, $strength);
            self::assertGreaterThanOrEqual($strength, RelationStrength::ofConnection($exchanges + 1, (float) $months));
            self::assertGreaterThan(RelationStrength::ofConnection($exchanges, $months + 1.0), $strength);
        });
        $this->expectException(Mistake::class);
        RelationStrength::ofConnection(-1);
    }

    public function test_working_together_counts_by_time_size_and_function(): void
    {
        self::assertSame(0.0, RelationStrength::ofWorkingTogether(0, 100, false));
        self::assertEqualsWithDelta(.35, RelationStrength::ofWorkingTogether(18, 10, false), 1e-12);
        self::assertEqualsWithDelta(
            .35, RelationStrength::ofWorkingTogether(18, 3, false), 1e-12, 'under ten heads is as ten',
        );
        self::assertEqualsWithDelta(.35 / 1.5 * 1.25, RelationStrength::ofWorkingTogether(18, 100, true), 1e-12);
        self::assertSame(.8, RelationStrength::ofWorkingTogether(400, 10, true), 'at most');
        self::assertLessThan(
            RelationStrength::ofWorkingTogether(18, 50, false),
            RelationStrength::ofWorkingTogether(18, null, false),
        );
        self::assertGreaterThan(
            RelationStrength::ofWorkingTogether(18, 249, false),
            RelationStrength::ofWorkingTogether(18, null, false),
        );
    }

    public function test_days_lie_in_stretches_however_these_overlap(): void
    {
        $day = Generators::choose(0, 40);
        $this->limitTo(300)->forAll(Generators::seq(Generators::tuple($day, $day)), $day, $day)->then(function (
            array $stretches,
            int $first,
            int $last,
        ): void {
            $days = array_merge([], ...array_map(
                fn (array $stretch): array => $stretch[0] <= $stretch[1] ? range(...$stretch) : [],
                $stretches,
            ));
            self::assertSame(
                $first <= $last && array_intersect(range($first, $last), $days) !== [],
                Spans::of($stretches)->meets($first, $last),
            );
        });
    }

    public function test_several_ways_are_more_than_the_best_and_never_certain(): void
    {
        self::assertEqualsWithDelta(1 - .7 * .75, RelationStrength::together([.30, RelationStrength::STUDIED]), 1e-12);
        self::assertSame(.95, RelationStrength::together([.9, .9, .8]));
        $this->limitTo(60)->forAll(Generators::vector(4, Generators::choose(0, 95)))->then(function (
            array $parts,
        ): void {
            $strengths = array_map(fn (int $part): float => $part / 100, $parts);
            self::assertGreaterThanOrEqual(max($strengths), RelationStrength::together($strengths) + 1e-12);
            self::assertLessThanOrEqual(.95, RelationStrength::together($strengths));
        });
    }
}
