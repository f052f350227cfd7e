<?php

declare(strict_types=1);

namespace App\Finder;

use App\Support\Quantity;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Field;

/** The numbers of a step, read as people write them, in the units of the index: days, EUR, fractions. */
final readonly class StepNumbers
{
    public function __construct(private StepForm $step)
    {
    }

    public function number(string $key, Quantity $quantity = Quantity::Plain): ?float
    {
        $text = $this->step->given[$key] ?? null;

        return $text === null ? null : $quantity->read($text, $this->step->given['cur'] ?? 'EUR');
    }

    public function whole(string $key, int $default): int
    {
        $number = $this->number($key);

        return match (true) {
            $number === null => $default,
            $number >= 1 && floor($number) === $number && $number < 10_000 => (int) $number,
            default => throw new Mistake('How many: a whole number from 1.'),
        };
    }

    /** A bound of a range as the index has it: in days, in EUR. */
    public function bound(string $key, ?Field $field = null): ?float
    {
        $field ??= $this->step->field;
        $number = $this->number($key, self::quantity($field));

        return $number !== null && $field->countsBack() ? round($number) : $number;
    }

    /** Who can pay the price, if they spend this share of their revenue on our kind of thing (rule 4). */
    public function leastRevenue(): float
    {
        $text = $this->step->given['w']
            ?? throw new Mistake('Give the share of revenue that is usually spent on this, in per cent.');
        // Without a sign it is one of per cent all the same: .2 is .2 %.
        $share = Quantity::Share->read(rtrim($text, ' %').' %');
        if ($share <= 0 || $share > 1) {
            throw new Mistake('A share is a number of per cent above 0, at most 100.');
        }

        return ($this->bound('lo') ?? throw new Mistake('Give the price.')) / $share;
    }

    private static function quantity(Field $field): Quantity
    {
        return match ($field) {
            Field::Revenue, Field::EventAmount, Field::Spending => Quantity::Money,
            Field::Growth => Quantity::Growth,
            Field::Fit, Field::Coverage, Field::Timing, Field::Access, Field::EventStrength => Quantity::Share,
            Field::EventAge, Field::OpeningAge => Quantity::Days,
            default => $field->countsBack() ? Quantity::Months : Quantity::Plain,
        };
    }
}
