<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Signal\Headcounts;
use Luftig\Core\Signal\Strength;
use PHPUnit\Framework\TestCase;

/** Heads by month, and how far they went (rule 2). */
final class HeadcountsTest extends TestCase
{
    public function test_a_change_is_told_where_both_months_are_known_and_not_guessed(): void
    {
        $heads = new Headcounts(
            ['2025-11' => 80, '2026-05' => 100, '2026-08' => 100, '2026-09' => 0, '2026-11' => 120],
        );
        self::assertSame('2026-11', $heads->latest());
        self::assertEqualsWithDelta(.2, $heads->change(3), 1e-12);
        self::assertEqualsWithDelta(.2, $heads->change(6), 1e-12);
        self::assertEqualsWithDelta(.5, $heads->change(12), 1e-12);
        self::assertNull($heads->change(4), 'July is not known');
        self::assertNull($heads->change(2), 'there was nobody to grow from');
        self::assertNull((new Headcounts([]))->change(3));
        self::assertEqualsWithDelta(0.0, $heads->change(3, '2026-08'), 1e-12);
    }

    public function test_it_lasts_as_long_as_each_three_months_show_it(): void
    {
        $months = [];
        foreach ([100, 100, 100, 100, 104, 108, 112, 116, 120] as $i => $heads) {
            $months[sprintf('2026-%02d', $i + 3)] = $heads;
        }
        $heads = new Headcounts($months);
        // July over April is 4 %, June over March nothing.
        self::assertSame('2026-07', $heads->since(true, '2026-11'));
        self::assertSame('2026-11', $heads->since(false, '2026-11'));
        $down = new Headcounts(array_combine(array_keys($months), array_reverse(array_values($months))));
        self::assertSame('2026-06', $down->since(false, '2026-08'));
    }

    public function test_months_are_counted_over_the_turn_of_the_year(): void
    {
        self::assertSame('2025-12', Headcounts::before('2026-01', 1));
        self::assertSame('2025-11', Headcounts::before('2026-11', 12));
        self::assertSame('2024-12', Headcounts::before('2026-02', 14));
    }

    public function test_a_function_is_measured_by_the_size_of_the_account(): void
    {
        // 4 of 20: 20 of 25 %, and four heads of ten.
        self::assertEqualsWithDelta(.8 * .4, (float) Strength::ofChange(20, 24, 300), 1e-12);
        self::assertEqualsWithDelta(1.0 * .3, (float) Strength::ofChange(4, 7, 300), 1e-12);
        self::assertNull(Strength::ofChange(4, 7, 9), 'an account under ten heads');
        self::assertNull(Strength::ofChange(4, 7), 'which a whole of four is');
        self::assertNull(Strength::ofChange(0, 7, 300), 'there was nobody');
        self::assertNull(Strength::ofChange(100, 102, 300), 'under 3 %');
    }
}
