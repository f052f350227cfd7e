<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Fit\Criterion;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Fit\OwnFact;
use Luftig\Core\Fit\TargetProfile;
use Luftig\Core\Rules\Criteria;
use Luftig\Core\Rules\Input;

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
            'criteria[].fact' => 'name of a fact of your own; for number, and for fact, whose value may be “*” for '
                .'any',
            'criteria[].within' => '{km, of: [latitude, longitude]}; for '.self::names('within'),
            'criteria[].query' => 'text query; for '.self::names('query'),
            'criteria[].any_site' => 'true: any site may answer, not the headquarters only; for '.self::names(
                'any_site',
            ),
            'account' => 'headcount, revenue (EUR), growth (fraction), sites, industries [ISIC, main first], '
                .'country, region, '
                .'postal_code, place [latitude, longitude], technologies [..], text, '
                .'other_sites [{country, region, postal_code, place}], facts {name: value}, '
                .'numbers {name: number}; absent or null is unknown',
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
        $criteria = array_map(Criteria::read(...), $input->objects('criteria'));
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
            Criteria::place($input, 'place'),
            $input->strings('technologies'),
            $input->optionalString('text'),
            array_map(self::site(...), $input->has('other_sites') ? $input->objects('other_sites') : []),
            self::own($input, 'facts', static fn (Input $own, string $name): ?string => $own->optionalString($name)),
            self::own($input, 'numbers', static fn (Input $own, string $name): ?float => $own->optionalNumber($name)),
        );
        $input->done();

        return $account;
    }

    /**
     * @template T of string|float
     *
     * @param  callable(Input, string): (T|null)  $read  a value by its name
     * @return array<string, T> by name (OwnFact::key)
     */
    private static function own(Input $input, string $field, callable $read): array
    {
        $values = [];
        if ($input->has($field)) {
            $own = $input->object($field);
            foreach ($own->names() as $name) {
                $value = $read($own, $name);
                if ($value !== null) {
                    $values[OwnFact::key($name)] = $value;
                }
            }
            $own->done();
        }

        return $values;
    }

    private static function site(Input $input): AccountFacts
    {
        $site = new AccountFacts(
            country: $input->optionalString('country'),
            region: $input->optionalString('region'),
            postalCode: $input->optionalString('postal_code'),
            place: Criteria::place($input, 'place'),
        );
        $input->done();

        return $site;
    }

    private static function names(string $test): string
    {
        $fields = $test === 'any_site'
            ? array_filter(CriterionField::cases(), static fn (CriterionField $field): bool => $field->isOfSite())
            : CriterionField::testedBy($test);

        return implode(', ', array_map(static fn (CriterionField $field): string => $field->value, $fields));
    }
}
