<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Attribute;
use App\Models\City;
use App\Support\Countries;
use App\Support\Figure;
use App\Support\Gazetteer;
use App\Support\Quantity;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use Luftig\Core\Signal\Posting;

/** What a step asks, as the core takes it. */
final readonly class StepCondition
{
    private StepNumbers $numbers;

    public function __construct(private StepForm $step)
    {
        $this->numbers = new StepNumbers($step);
    }

    /** @throws Mistake with a sentence */
    public function of(Subject $subject): Condition
    {
        foreach (StepForm::PASTED as $key) {
            Pasted::isGone($this->step->given($key))
                && throw new Mistake('What was pasted into this step is not kept here; paste it again.');
        }
        $x = $this->step->excludes();
        $unknown = isset($this->step->given['u']) ? $this->step->given['u'] === '1' : null;
        $which = $this->step->which();

        return match (true) {
            $this->step->field === Field::Event => Condition::together(
                $this->step->field, $this->eventParts(), $this->numbers->whole('n', 1), $x, $unknown, $which,
            ),
            $this->step->field === Field::Opening => Condition::together(
                $this->step->field, $this->openingParts(), $this->numbers->whole('n', 1), $x, $unknown,
            ),
            $this->step->field === Field::Before => Condition::together(
                $this->step->field, $this->positionParts(), 1, $x, $unknown,
            ),
            $this->step->field === Field::Spending => Condition::range(
                Field::Revenue, $this->numbers->leastRevenue(), null, $x, $unknown,
            ),
            $this->step->field === Field::Attribute => Condition::any(
                $this->step->field,
                $this->attributeValues($which),
                $x,
                $unknown,
                which: $which === '' ? throw new Mistake('Choose the attribute.') : $which,
            ),
            $this->step->field->test() === Comparison::Any => Condition::any(
                $this->step->field,
                $this->step->codes(),
                $x,
                $unknown,
                ($this->step->given['all'] ?? '') === '1',
                $which,
            ),
            $this->step->field->test() === Comparison::Range => Condition::range(
                $this->step->field, $this->numbers->bound('lo'), $this->numbers->bound('hi'), $x, $unknown, $which,
            ),
            $this->step->field->test() === Comparison::Query => Condition::query(
                $this->step->field,
                $this->step->query(),
                $x,
                $unknown,
                $this->step->field === Field::Words ? $which : '',
            ),
            $this->step->field->test() === Comparison::Near => Condition::near(
                $this->place(),
                $this->numbers->number('km', Quantity::Km) ?? throw new Mistake('Give the radius in km.'),
                $x,
                $unknown,
                $which === 'any',
            ),
            $this->step->field === Field::Reach => Condition::any(
                $this->step->field, [$this->step->reach()->named()], $x,
            ),
            $this->step->field === Field::Alike => Condition::any(
                $this->step->field, [$this->step->alike()->named()], $x,
            ),
            default => $this->step->field === Field::KeptOut || $this->step->values() !== []
                ? Sets::condition($this->step->field, $subject, $this->step->values(), $x)
                : throw new Mistake('Choose at least one.'),
        };
    }

    /** @return list<Condition> what has to be true of one and the same signal */
    private function eventParts(): array
    {
        $parts = [];
        foreach ([[Field::EventKind, 'v'], [Field::EventStage, 'st'], [Field::EventRound, 'rd']] as [$field, $key]) {
            if ($this->step->values($key) !== []) {
                $parts[] = Condition::any($field, array_map(mb_strtolower(...), $this->step->values($key)));
            }
        }
        foreach (
            [
                [Field::EventAge, 'lo', 'hi'],
                [Field::EventStrength, 'slo', 'shi'],
                [Field::EventAmount, 'alo', 'ahi'],
            ] as [$field, $low, $high]
        ) {
            if (isset($this->step->given[$low]) || isset($this->step->given[$high])) {
                // What is announced has not happened; up to so many days ago begins today.
                $parts[] = Condition::range(
                    $field,
                    $this->numbers->bound($low, $field) ?? ($field === Field::EventAge ? 0.0 : null),
                    $this->numbers->bound($high, $field),
                );
            }
        }
        if (isset($this->step->given['q'])) {
            $parts[] = Condition::query(Field::EventText, $this->step->query());
        }

        return $parts;
    }

    /** @return list<Condition> what has to be true of one and the same opening */
    private function openingParts(): array
    {
        $parts = [];
        foreach ([
            [Field::OpeningTitle, 'q'], [Field::OpeningText, 'q2'], [Field::OpeningPlace, 'pl'],
        ] as [$field, $key]) {
            if (isset($this->step->given[$key])) {
                $parts[] = Condition::query($field, $this->step->query($key));
            }
        }
        if ($this->step->values() !== []) {
            $parts[] = Condition::any(Field::OpeningType, Posting::types(implode(',', $this->step->values())));
        }
        $bounds = isset($this->step->given['lo']) || isset($this->step->given['hi']);
        if ($bounds || $parts === []) {
            // With nothing said any that is open.
            $parts[] = Condition::range(
                Field::OpeningAge,
                $this->numbers->bound('lo', Field::OpeningAge) ?? 0.0,
                $this->numbers->bound('hi', Field::OpeningAge),
            );
        }

        return $parts;
    }

    /** @return list<Condition> what has to be true of one and the same position */
    private function positionParts(): array
    {
        $parts = [];
        foreach ([[Field::BeforeTitle, 'q'], [Field::BeforeCompany, 'q2']] as [$field, $key]) {
            if (isset($this->step->given[$key])) {
                $parts[] = Condition::query($field, $this->step->query($key));
            }
        }
        if (isset($this->step->given['lo']) || isset($this->step->given['hi'])) {
            $parts[] = Condition::range(
                Field::BeforeEnded,
                $this->numbers->bound('lo', Field::BeforeEnded),
                $this->numbers->bound('hi', Field::BeforeEnded),
            );
        }

        return $parts;
    }

    /**
     * Those typed, and those that lie between two numbers, of which the base knows; with nothing said any.
     *
     * @return list<string>
     */
    private function attributeValues(string $attribute): array
    {
        $low = $this->numbers->number('lo', Quantity::Own);
        $high = $this->numbers->number('hi', Quantity::Own);
        if ($low === null && $high === null) {
            return $this->step->values() ?: ['*'];
        }
        $between = array_filter(
            Attribute::values($attribute)->pluck('value')->all(),
            function (string $value) use ($low, $high): bool {
                $number = Figure::own($value)?->value;

                return $number !== null && $number >= ($low ?? -INF) && $number <= ($high ?? INF);
            },
        );

        return array_values(array_unique([...$this->step->values(), ...$between]))
            ?: throw new Mistake("No number of “{$attribute}” lies between these.");
    }

    /** @return array{float, float} */
    private function place(): array
    {
        $text = $this->step->given['q'] ?? throw new Mistake('Name the place.');
        if (preg_match('/^(-?\d+(?:\.\d+)?)\s*,\s*(-?\d+(?:\.\d+)?)$/', $text, $numbers) === 1) {
            return [(float) $numbers[1], (float) $numbers[2]];
        }
        $found = Gazetteer::named($text);
        // Of several of one name in one country the largest is meant, as it is at intake.
        if ($found === [] || count(array_unique(array_map(fn (City $city): string => $city->country, $found))) > 1) {
            throw new Mistake(
                $found === []
                    ? "The place “{$text}” is not known; take one of those suggested, or give latitude and longitude."
                    : "“{$text}” stands for several places: ".implode(
                        '; ',
                        array_map(
                            fn (City $city): string => "{$city->name}, ".Countries::name($city->country),
                            array_slice($found, 0, 4),
                        ),
                    ).'. Add the country.',
            );
        }

        return [(float) $found[0]->latitude, (float) $found[0]->longitude];
    }
}
