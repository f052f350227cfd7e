<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Search\Field;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Numbers as the index holds them: whole, from 0, and in the order of what they stand for. */
final class FieldScaleTest extends TestCase
{
    #[TestWith([Field::Growth, -1.0, 0])]
    #[TestWith([Field::Growth, -.045, 955])]
    #[TestWith([Field::Growth, 0.0, 1000])]
    #[TestWith([Field::Growth, .12, 1120])]
    #[TestWith([Field::Growth, 3.0, 4000])]
    #[TestWith([Field::Growth, -2.0, 0])]
    #[TestWith([Field::Revenue, 1_499.0, 1])]
    #[TestWith([Field::Revenue, 78e6, 78_000])]
    #[TestWith([Field::Fit, .4567, 457])]
    #[TestWith([Field::Priority, 61.24, 612])]
    #[TestWith([Field::Headcount, 420.0, 420])]
    #[TestWith([Field::Headcount, -5.0, 0])]
    public function test_a_number_is_held_whole(Field $field, float $value, int $held): void
    {
        self::assertSame($held, $field->scaled($value));
    }
}
