<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\StepForm;
use App\Support\Figure;
use App\Support\Quantity;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What people write in the fields of numbers, and what it means there; nothing means something else in silence. */
final class TypedNumbersTest extends TestCase
{
    private const MONTH = 30.4375;

    /** @return list<array{Quantity, string, float}> */
    public static function written(): array
    {
        return [
            [Quantity::Plain, '1 000', 1000.0], [Quantity::Plain, '1.000', 1000.0], [Quantity::Plain, '1,000', 1000.0],
            [Quantity::Plain, "1'250", 1250.0], [Quantity::Plain, '2.5', 2.5], [Quantity::Plain, '2,5', 2.5],
            [Quantity::Plain, '18 MA', 18.0], [Quantity::Plain, '-3', -3.0], [Quantity::Plain, '1e3', 1000.0],
            [Quantity::Own, '12 %', .12], [Quantity::Own, '12 t', 12.0], [Quantity::Own, '300 m²', 300.0],
            [Quantity::Own, '1,5 Mio kWh', 1.5e6],
            [Quantity::Money, '1,5 Mio', 1.5e6], [Quantity::Money, '20 TEUR', 20_000.0],
            [Quantity::Money, 'EUR 2.500.000', 2.5e6],
            [Quantity::Money, '11,2 MSEK', 1e6],
            [Quantity::Money, '5k', 5e3],
            [Quantity::Growth, '5 %', .05], [Quantity::Growth, '5', .05], [Quantity::Growth, '0,05', .05],
            [Quantity::Growth, '-4,5 %', -.045], [Quantity::Growth, '150 %', 1.5], [Quantity::Growth, '0,5 %', .005],
            [Quantity::Share, '80 %', .8], [Quantity::Share, '.8', .8], [Quantity::Share, '80', .8],
            [Quantity::Share, '1', 1.0], [Quantity::Km, '50 km', 50.0], [Quantity::Km, '7,5', 7.5],
            [Quantity::Days, '90', 90.0],
            [Quantity::Days, '2 weeks', 14.0],
            [Quantity::Days, '3 Monate', 3 * self::MONTH],
            [Quantity::Months, '6', 6 * self::MONTH], [Quantity::Months, '2 years', 24 * self::MONTH],
            [Quantity::Months, '10 Jahre', 120 * self::MONTH], [Quantity::Months, '1,5 år', 18 * self::MONTH],
            [Quantity::Months, '1 year 6 months', 18 * self::MONTH], [Quantity::Months, '45 days', 45.0],
            [Quantity::Months, '2 lata', 24 * self::MONTH], [Quantity::Months, '3 mois', 3 * self::MONTH],
        ];
    }

    #[DataProvider('written')]
    public function test_numbers_are_read_as_people_write_them(Quantity $quantity, string $text, float $value): void
    {
        self::assertEqualsWithDelta($value, $quantity->read($text), 1e-9);
    }

    /** @return list<array{Quantity, string, string}> */
    public static function refused(): array
    {
        return [
            [Quantity::Plain, 'many', '“many” is not a number.'],
            [Quantity::Plain, '10–20', '“10–20” is not a number.'],
            [Quantity::Plain, '5 %', '“5 %” is a share; a number is asked for.'],
            [Quantity::Plain, '1e999', '“1e999” is beyond any number.'],
            [Quantity::Months, '2 moons', '“2 moons” is no span of time: 18 months, 2 years, 3 weeks, 90 days.'],
            [Quantity::Days, 'soon', '“soon” is no span of time: 18 months, 2 years, 3 weeks, 90 days.'],
            [Quantity::Own, '10–20 pcs', '“10–20 pcs” is not a number.'],
            [Quantity::Km, 'far', '“far” is not a number.'], [Quantity::Money, 'ca. 5', '“ca. 5” is not a number.'],
        ];
    }

    public function test_a_number_of_ones_own_has_any_unit(): void
    {
        $read = fn (string $cell): ?float => Figure::own($cell)?->value;
        self::assertSame([45.0, 12.0, 300.0, 1200.0, 75.0, 3.0, 1.5e6, .12, -4.0, 4.0], array_map($read, [
            '45 pcs', '12 t', '300 m²', 'ca. 1.200 St.', '50–100 vehicles', '3 m', '1,5 Mio', '12 %', '-4 °C', '4 m2',
        ]));
        self::assertSame([null, null, null, null], array_map($read, ['some', '5 of 7', '12-34-56', '']));
    }

    #[DataProvider('refused')]
    public function test_what_is_no_such_number_is_said(Quantity $quantity, string $text, string $sentence): void
    {
        try {
            $quantity->read($text);
            self::fail("“{$text}” was taken.");
        } catch (Mistake $mistake) {
            self::assertSame($sentence, $mistake->inWords());
        }
    }

    /** What is typed into every field of the Finder that takes a number, and the bound that the index gets. */
    public function test_every_number_of_the_finder(): void
    {
        // 24 and 18 months of 30.4375 days, in whole days.
        $months = ['2 years' => 731.0, '18' => 548.0, '3 weeks' => 21.0];
        $plain = ['1 000' => 1000.0, '1.000' => 1000.0];
        $shares = ['80 %' => .8, '0,8' => .8];
        $money = ['1,5 Mio' => 1.5e6, '11,2 MSEK' => 1e6];
        $expected = [
            'headcount' => $plain + ['18 MA' => 18.0], 'revenue' => $money, 'sites' => $plain,
            'founded' => ['1961' => 1961.0],
            'known_contacts' => $plain, 'growth' => ['5 %' => .05, '5' => .05, '-4,5 %' => -.045],
            'fit' => $shares, 'coverage' => $shares, 'timing' => $shares, 'access' => $shares,
            'priority' => ['62,5' => 62.5],
            'newest_signal' => $months, 'last_approach' => $months, 'in_position' => $months, 'in_company' => $months,
            'at_work' => $months, 'engaged' => $months,
        ];
        $asked = array_filter(Field::cases(), fn (Field $field): bool => $field->test() === Comparison::Range
            && $field->suits(Subject::Contacts) && $field !== Field::Spending);
        self::assertEqualsCanonicalizing(array_column($asked, 'value'), array_keys($expected), 'every field is here');
        foreach ($expected as $field => $typed) {
            foreach ($typed as $text => $bound) {
                $condition = StepForm::of(Field::from($field), ['lo' => (string) $text])->condition(Subject::Contacts);
                self::assertEqualsWithDelta($bound, $condition->low, 1e-6, "$field from $text");
            }
        }
    }
}
