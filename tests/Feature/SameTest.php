<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Same;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What the database gives back is what was written, in whatever type it comes. */
final class SameTest extends TestCase
{
    #[TestWith([.9, '0.9'])]
    #[TestWith([2 / 3, '0.6666666666666666'])]
    #[TestWith([2 / 3, '0.66666666666667'])]
    #[TestWith([12, '12'])]
    #[TestWith([true, 1])]
    #[TestWith([true, '1'])]
    #[TestWith([false, '0'])]
    #[TestWith([null, null])]
    #[TestWith([null, ''])]
    #[TestWith(['Round B', 'Round B'])]
    #[TestWith([['b' => 2, 'a' => 1.5], ['a' => '1.5', 'b' => '2']])]
    #[TestWith([['of' => ['x', 'y']], ['of' => ['x', 'y']]])]
    public function test_the_same(mixed $one, mixed $other): void
    {
        self::assertTrue(Same::value($one, $other));
        self::assertTrue(Same::value($other, $one));
    }

    #[TestWith([.9, '0.91'])]
    #[TestWith([2 / 3, '0.66666666667'])]
    #[TestWith(['1e3', '1000'])]
    #[TestWith(['0123', '123'])]
    #[TestWith(['9007199254740993', '9007199254740992'])]
    #[TestWith([null, '0'])]
    #[TestWith([true, 0])]
    #[TestWith(['Round B', 'Round b'])]
    #[TestWith([['a' => 1], ['a' => 1, 'b' => 2]])]
    #[TestWith([['x', 'y'], ['y', 'x']])]
    public function test_not_the_same(mixed $one, mixed $other): void
    {
        self::assertFalse(Same::value($one, $other));
        self::assertFalse(Same::value($other, $one));
    }

    public function test_json_is_compared_by_what_it_says(): void
    {
        self::assertTrue(Same::json('{"round":"B","eur":12000000.0}', '{"eur": 12000000, "round": "B"}'));
        self::assertFalse(Same::json('{"round":"B"}', '{"round":"C"}'));
    }
}
