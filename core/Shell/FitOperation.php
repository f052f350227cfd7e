<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Fit\AnyOf;
use Luftig\Core\Fit\Criterion;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Fit\Question;
use Luftig\Core\Fit\Range;
use Luftig\Core\Fit\Says;
use Luftig\Core\Fit\TargetProfile;
use Luftig\Core\Fit\Within;
use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Mistake;

/** Rule 4. */
final class FitOperation implements Operation
{
    public static function name(): string
    {
        return 'fit';
    }

    public static function summary(): string
    {
        return 'How well an account suits a target profile, and what is not known of it.';
    }

    public static function fields(): array
    {
        return [
            'criteria[].name' => 'text',
            'criteria[].field' => Input::values(CriterionField::class),
            'criteria[].mode' => Input::values(Mode::class),
            'criteria[].weight' => 'above 0, for prefer (1 without one)',
            'criteria[].range' => '[low, high], null is open; for '.self::names('range'),
            'criteria[].any' => 'list of texts; for '.self::names('any'),
            'criteria[].within' => '{km, of: [latitude, longitude]}; for '.self::names('within'),
            'criteria[].query' => 'text query; for '.self::names('query'),
            'account' => 'headcount, revenue (EUR), growth (fraction), sites, industries [ISIC, main first], '
                .'country, region, '
                .'postal_code, place [latitude, longitude], technologies [..], text; absent or null is unknown',
        ];
    }

    public static function example(): array
    {
        return [
            'criteria' => [
                ['name' => 'makers', 'field' => 'industries', 'mode' => 'must', 'any' => ['C']],
                ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 2, 'range' => [40, 1500]],
            ],
            'account' => ['headcount' => 420, 'industries' => ['2310']],
        ];
    }

    public static function answer(Input $input): array
    {
        $criteria = array_map(self::criterion(...), $input->objects('criteria'));
        $account = self::account($input->object('account'));
        $input->done();
        $fit = (new TargetProfile(...$criteria))->fitOf($account);

        return [
            'fit' => $fit->value,
            'coverage' => $fit->coverage,
            'low' => $fit->low,
            'high' => $fit->high,
            'out' => $fit->out,
            'unverified' => $fit->unverified,
            'criteria' => array_map(
                static fn (Criterion $criterion, ?float $membership): array => [
                    'name' => $criterion->name,
                    'membership' => $membership,
                ],
                $criteria,
                $fit->memberships,
            ),
        ];
    }

    /** Also how a stored rule set is read. */
    public static function criterion(Input $input): Criterion
    {
        $name = $input->string('name');
        $field = $input->choice('field', CriterionField::class);
        $mode = $input->choice('mode', Mode::class);
        $weight = $input->optionalNumber('weight');
        $tests = array_values(array_filter(['range', 'any', 'within', 'query'], $input->has(...)));
        if (count($tests) !== 1) {
            throw Mistake::at($input->place('field'), 'A criterion has exactly one of range, any, within and query.');
        }
        $test = $input->make(static fn (): Question => self::test($tests[0], $field, $input));
        $input->done();

        return $input->make(static fn (): Criterion => new Criterion($name, $mode, $test, $weight ?? 1.0));
    }

    private static function test(string $test, CriterionField $field, Input $input): Question
    {
        if ($field->test() !== $test) {
            throw Mistake::at($test, "A criterion on {$field->value} cannot be tested with “{$test}”.");
        }

        return match ($test) {
            'range' => new Range($field, ...$input->pair('range')),
            'any' => new AnyOf(
                $field,
                $input->strings('any') ?: throw Mistake::at('any', 'The list needs at least one value.'),
            ),
            'within' => self::within($input->object('within')),
            default => new Says(
                $input->optionalQuery('query')
                    ?? throw Mistake::at('query', 'The query is empty: give at least one word.'),
            ),
        };
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

    private static function account(Input $input): AccountFacts
    {
        $account = new AccountFacts(
            $input->optionalInteger('headcount'),
            $input->optionalNumber('revenue'),
            $input->optionalNumber('growth'),
            $input->optionalInteger('sites'),
            $input->strings('industries'),
            $input->optionalString('country'),
            $input->optionalString('region'),
            $input->optionalString('postal_code'),
            self::place($input, 'place'),
            $input->strings('technologies'),
            $input->optionalString('text'),
        );
        $input->done();

        return $account;
    }

    private static function place(Input $input, string $field): ?Coordinates
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

    private static function names(string $test): string
    {
        return implode(
            ', ',
            array_map(static fn (CriterionField $field): string => $field->value, CriterionField::testedBy($test)),
        );
    }
}
