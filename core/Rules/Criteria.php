<?php

declare(strict_types=1);

namespace Luftig\Core\Rules;

use Luftig\Core\Fit\AnyOf;
use Luftig\Core\Fit\AnySite;
use Luftig\Core\Fit\Criterion;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Fit\OwnFact;
use Luftig\Core\Fit\Question;
use Luftig\Core\Fit\Range;
use Luftig\Core\Fit\Says;
use Luftig\Core\Fit\Within;
use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Mistake;

/** Criteria of a target profile (rule 4) as they are written down. */
final class Criteria
{
    private const TESTS = ['range', 'any', 'within', 'query'];

    /** @throws Mistake naming the field that cannot be used */
    public static function read(Input $input): Criterion
    {
        $name = $input->string('name');
        $field = $input->choice('field', CriterionField::class);
        $mode = $input->choice('mode', Mode::class);
        $weight = $input->optionalNumber('weight');
        $anySite = $input->boolean('any_site');
        $tests = array_values(array_filter(self::TESTS, $input->has(...)));
        if (count($tests) !== 1) {
            throw Mistake::at($input->place('field'), 'A criterion has exactly one of range, any, within and query.');
        }
        $test = $input->make(static fn (): Question => self::test($tests[0], $field, $input));
        if ($anySite) {
            $test = $input->make(static fn (): Question => new AnySite($field, $test));
        }
        $input->done();

        return $input->make(static fn (): Criterion => new Criterion($name, $mode, $test, $weight ?? 1.0));
    }

    /**
     * A latitude and a longitude in a list of two.
     *
     * @throws Mistake where they are not
     */
    public static function place(Input $input, string $field): ?Coordinates
    {
        if (! $input->has($field)) {
            return null;
        }
        [$latitude, $longitude] = $input->pair($field);
        if ($latitude === null || $longitude === null) {
            throw Mistake::at($input->place($field), 'A place is a latitude and a longitude.');
        }

        return $input->make(static fn (): Coordinates => new Coordinates($latitude, $longitude));
    }

    private static function test(string $test, CriterionField $field, Input $input): Question
    {
        if ($input->has('fact') && ! $field->isOwn()) {
            throw Mistake::at('fact', "A criterion on {$field->value} has nothing to do with facts of your own.");
        }
        if ($field->test() !== $test) {
            throw Mistake::at($test, "A criterion on {$field->value} cannot be tested with “{$test}”.");
        }

        return match ($test) {
            'range' => self::range($field, $input),
            'any' => self::anyOf(
                $field,
                $input->strings('any') ?: throw Mistake::at('any', 'The list needs at least one value.'),
                $input,
            ),
            'within' => self::within($input->object('within')),
            default => new Says(
                $input->optionalQuery('query')
                    ?? throw Mistake::at('query', 'The query is empty: give at least one word.'),
            ),
        };
    }

    private static function range(CriterionField $field, Input $input): Range
    {
        [$low, $high] = $input->pair('range');

        return new Range($field, $low, $high, $field->isOwn() ? $input->string('fact') : '');
    }

    /** @param  non-empty-list<string>  $values */
    private static function anyOf(CriterionField $field, array $values, Input $input): Question
    {
        return $field === CriterionField::Fact
            ? new OwnFact($input->string('fact'), $values)
            : new AnyOf($field, $values);
    }

    private static function within(Input $input): Within
    {
        $within = $input->make(static fn (): Within => new Within(
            self::place($input, 'of') ?? throw Mistake::at('of', 'The place is needed.'),
            $input->number('km'),
        ));
        $input->done();

        return $within;
    }
}
