<?php

declare(strict_types=1);

namespace App\Finder;

use App\Support\Figure;
use App\Support\Money;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Field;

/** The numbers of a step, read as people write them, in the units of the index: days, EUR, fractions. */
final readonly class StepNumbers
{
    private const DAYS_IN_MONTH = 30.4375;

    public function __construct(private StepForm $step)
    {
    }

    public function number(string $key): ?float
    {
        $text = $this->step->given[$key] ?? null;
        if ($text === null) {
            return null;
        }
        $plain = str_replace([' ', ','], ['', '.'], $text);
        if (is_numeric($plain)) {
            return is_finite((float) $plain) ? (float) $plain : throw new Mistake("“{$text}” is beyond any number.");
        }
        // As at intake: 1M, 12 Mio, 4,5 %; but no “ca.”, and no range where one end is asked for.
        $figure = Figure::read($key === 'km' ? (string) preg_replace('/\s*km$/i', '', $text) : $text);

        return $figure === null || $figure->given !== null
            ? throw new Mistake("“{$text}” is not a number.")
            : $figure->value;
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
        $number = $this->number($key);
        if ($number === null) {
            return null;
        }
        if (
            in_array($field, [Field::Revenue, Field::EventAmount, Field::Spending], true)
            && isset($this->step->given['cur'])
        ) {
            return Money::inEur($number, $this->step->given['cur'])
                ?? throw new Mistake("No rate is stated for the currency “{$this->step->given['cur']}”.");
        }

        if ($field === Field::Growth) {
            return self::isPerCent($this->step->given($key), $number) ? $number / 100 : $number;
        }

        return $field->countsBack() && $field !== Field::EventAge ? round($number * self::DAYS_IN_MONTH) : $number;
    }

    /** A growth of 10 is one of 10 %, as one of 10 % is; of .1 too, as the bands have it. */
    private static function isPerCent(string $text, float $number): bool
    {
        return abs($number) >= 1 && ! str_contains($text, '%');
    }

    /** Who can pay the price, if they spend this share of their revenue on our kind of thing (rule 4). */
    public function leastRevenue(): float
    {
        $share = $this->number('w')
            ?? throw new Mistake('Give the share of revenue that is usually spent on this, in per cent.');
        if ($share <= 0 || $share > 100) {
            throw new Mistake('A share is a number of per cent above 0, at most 100.');
        }

        return ($this->bound('lo') ?? throw new Mistake('Give the price.')) / ($share / 100);
    }
}
