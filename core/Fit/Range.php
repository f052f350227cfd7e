<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Mistake;

/** A number between two bounds, either of which may be open (rule 4). */
final readonly class Range implements Question
{
    /** How far outside a growth rate still counts a little, as a fraction. */
    private const GROWTH_SHOULDER = .10;

    private string $fact;

    /**
     * @param  string  $fact  which of the team's own numbers, for a field that is one
     *
     * @throws Mistake where the field is no number, the bounds are none, or no fact is named
     */
    public function __construct(
        private CriterionField $field,
        public ?float $low,
        public ?float $high,
        string $fact = '',
    ) {
        $this->fact = $field->isOwn() ? OwnFact::named($fact) : '';
        if ($field->test() !== 'range') {
            throw Mistake::at('range', "A range needs a number; {$field->value} is none.");
        }
        if (! is_finite($low ?? 0.0) || ! is_finite($high ?? 0.0)) {
            throw Mistake::at('range', 'A bound of a range is a number.');
        }
        if ($low !== null && $high !== null && $low > $high) {
            throw Mistake::at('range', 'The lower bound of a range is not above the upper one.');
        }
    }

    /** Whether it is on a number of the team's own. */
    public function isOwn(): bool
    {
        return $this->field->isOwn();
    }

    public function membership(AccountFacts $account, bool $gate): ?float
    {
        $value = match ($this->field) {
            CriterionField::Headcount => $account->headcount,
            CriterionField::Revenue => $account->revenue,
            CriterionField::Growth => $account->growth,
            CriterionField::Number => $account->numbers[$this->fact] ?? null,
            default => $account->sites,
        };
        if ($value === null) {
            return null;
        }
        $below = $this->low !== null && $value < $this->low;
        if (! $below && ($this->high === null || $value <= $this->high)) {
            return 1.0;
        }
        if ($gate) {
            return 0.0;
        }
        $bound = (float) ($below ? $this->low : $this->high);
        if ($this->field === CriterionField::Growth) {
            return max(0.0, 1 - abs($value - $bound) / self::GROWTH_SHOULDER);
        }
        if ($value <= 0 || $bound <= 0) {
            return 0.0;
        }

        return max(0.0, 1 - abs(log($value / $bound, 2)));
    }
}
