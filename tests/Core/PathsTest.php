<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Mistake;
use Luftig\Core\Reach\IntroPath;
use Luftig\Core\Reach\IntroPaths;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Rule 10: the strongest simple paths of at most three edges. */
final class PathsTest extends TestCase
{
    use TestTrait;

    private const WORKED = [
        ['rep', 'ada', .6], ['rep', 'mate', .9], ['mate', 'bo', .7], ['ada', 'dst', .4], ['bo', 'dst', .8],
        ['mate', 'ada', .5],
    ];

    public function test_the_worked_example_comes_out(): void
    {
        $paths = IntroPaths::through(self::WORKED)->between('rep', 'dst');
        self::assertSame(
            [['rep', 'mate', 'bo', 'dst'], ['rep', 'ada', 'dst'], ['rep', 'mate', 'ada', 'dst']],
            array_map(fn (IntroPath $path): array => $path->people, $paths),
        );
        self::assertEqualsWithDelta([.3226, .1920, .1152], array_column($paths, 'strength'), 5e-5);
        self::assertSame(['mate', 'ada', 'mate'], array_map(
            fn (IntroPath $path): int|string|null => $path->introducer(), $paths,
        ));
    }

    public function test_who_was_asked_lately_counts_half_and_a_quarter_and_a_direct_way_asks_nobody(): void
    {
        $paths = IntroPaths::through([...self::WORKED, ['rep', 'dst', .1]]);
        $strengths = fn (array $asked): array => array_column($paths->between('rep', 'dst', $asked), 'strength');
        self::assertEqualsWithDelta([.1920, .16128, .1, .0576], $strengths(['mate' => 1]), 5e-5);
        self::assertEqualsWithDelta([.32256, .1152, .1, .048], $strengths(['ada' => 2]), 5e-5);
        self::assertNull($paths->between('rep', 'dst', [], 4)[3]->introducer(), 'the direct way');
        self::assertCount(2, $paths->between('rep', 'dst', [], 2));
    }

    public function test_ways_in_which_two_know_each_other_combine_and_nobody_knows_himself(): void
    {
        $paths = IntroPaths::through([['a', 'b', .5], ['b', 'a', .5], ['a', 'a', .9], ['b', 'c', 0.0]]);
        self::assertEqualsWithDelta(.75, $paths->between('a', 'b')[0]->strength, 1e-12);
        self::assertSame([[], []], [$paths->between('a', 'a'), $paths->between('a', 'c')]);
        self::assertSame([], $paths->between('a', 'nobody'));
        $this->expectException(Mistake::class);
        IntroPaths::through([['a', 'b', 1.1]]);
    }

    public function test_they_are_what_looking_at_all_ways_finds(): void
    {
        $this->limitTo(60)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $random = new Randomizer(new Mt19937($seed));
            $edges = $asked = [];
            for ($i = 0; $i < 14; $i++) {
                $edges[] = [$a = $random->getInt(0, 6), $random->getInt(0, 6), $random->getInt(0, 100) / 100];
                $asked[$a] = $random->getInt(0, 2);
            }
            // All combined ways between two, then all sequences of up to four different people.
            $known = [];
            foreach ($edges as [$a, $b, $strength]) {
                if ($a !== $b) {
                    $known[$a][$b] = $known[$b][$a] = min(.95, 1 - (1 - ($known[$a][$b] ?? 0)) * (1 - $strength));
                }
            }
            $of = fn (int $a, int $b): float => $known[$a][$b] ?? 0.0;
            $all = [];
            foreach (range(0, 6) as $x) {
                if ($x !== 0 && $x !== 1) {
                    $all[] = .8 * $of(0, $x) * $of($x, 1) * .5 ** ($asked[$x] ?? 0);
                    foreach (range(2, 6) as $y) {
                        if ($y !== $x) {
                            $all[] = .64 * $of(0, $x) * $of($x, $y) * $of($y, 1) * .5 ** ($asked[$x] ?? 0);
                        }
                    }
                }
            }
            $all = array_filter([...$all, $of(0, 1)], fn (float $one): bool => $one > 0);
            rsort($all);
            $paths = IntroPaths::through($edges)->between(0, 1, $asked);
            self::assertEqualsWithDelta(array_slice($all, 0, 5), array_column($paths, 'strength'), 1e-9);
            foreach ($paths as $path) {
                self::assertCount(count($path->people), array_unique($path->people));
            }
            $back = IntroPaths::through($edges)->between(1, 0);
            self::assertEqualsWithDelta(
                array_column(IntroPaths::through($edges)->between(0, 1), 'strength'),
                array_column($back, 'strength'),
                1e-9,
                'both ways',
            );
        });
    }
}
