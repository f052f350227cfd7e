<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\Attribute;
use App\Models\Offer;
use App\Models\Place;
use App\Models\Technology;
use App\Support\Countries;
use App\Support\Figure;
use App\Support\Nearest;
use Luftig\Core\Company\Industries;
use Luftig\Core\Company\Technology as Spelled;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\OwnFact;

/** Whether the values that a criterion names are known: none that nobody can have is saved by accident. */
final class CriterionValues
{
    /** So many values of a fact of one's own are looked through for a number. */
    private const LOOKED_AT = 1000;

    /** A code as it is, or the code that a label surely stands for. */
    public static function industry(string $typed): string
    {
        [$code, $isSure] = Industries::read($typed);

        return match (true) {
            Industries::has($typed) => strtoupper($typed),
            $code !== null && $isSure => $code,
            default => $typed,
        };
    }

    /**
     * @param  string  $fact  the name of a fact of one's own, where the field is one
     * @return list<string> values that the rules in force name already
     */
    public static function inForce(Offer $offer, CriterionField $field, string $fact = ''): array
    {
        $values = [];
        foreach ($offer->loadMissing('rules')->rules->criteria ?? [] as $criterion) {
            if ($criterion['field'] === $field->value && ($criterion['fact'] ?? '') === $fact) {
                array_push($values, ...array_map(strval(...), $criterion['any'] ?? []));
            }
        }

        return $values;
    }

    /**
     * @param  list<string>  $values
     * @param  bool  $sure  of names that nobody has yet, that they are meant
     * @param  string  $fact  the name of a fact of one's own, where the field is one
     * @return string|null a sentence on the first value that is not known
     */
    public static function doubt(CriterionField $field, array $values, bool $sure, string $fact = ''): ?string
    {
        foreach ($values as $value) {
            $near = match ($field) {
                CriterionField::Industries => Industries::has($value) ? null : self::industries($value),
                CriterionField::Country => isset(Countries::all()[$value])
                    ? null
                    : Nearest::of($value, [...array_values(Countries::all()), ...array_keys(Countries::groups())]),
                default => $sure ? null : self::nearNames($field, $value, $fact),
            };
            if ($near !== null) {
                return "no {$field->label()} is known as “{$value}”.".Nearest::says($near)
                    .(self::canBeNew($field) ? ' If nobody has it yet, say so under it.' : '');
            }
        }

        return null;
    }

    /** A sentence where nothing that is known of a fact of one's own is a number. */
    public static function doubtOfNumber(string $fact): ?string
    {
        $written = Attribute::values($fact)->limit(self::LOOKED_AT)->pluck('value');
        foreach ($fact === '' ? [] : $written as $value) {
            if (Figure::own((string) $value) !== null) {
                return null;
            }
        }

        return match (true) {
            // Then the rules themselves say that one is to be chosen.
            $fact === '' => null,
            $written->isEmpty() => "nothing is known as “{$fact}”.",
            default => "what stands under “{$fact}” is no number, as “{$written->first()}”.",
        };
    }

    /** Whether a value can be meant that nobody has yet. */
    public static function canBeNew(CriterionField $field): bool
    {
        return in_array(
            $field,
            [CriterionField::Technologies, CriterionField::Region, CriterionField::PostalCode, CriterionField::Fact],
            true,
        );
    }

    /** @return list<string> */
    private static function industries(string $typed): array
    {
        [$guess] = Industries::read($typed);
        $names = array_map(
            fn (int|string $code): string => Industries::name((string) $code),
            array_keys(Industries::choices()),
        );

        return $guess === null ? Nearest::of($typed, $names) : [lcfirst(Industries::name($guess))." ($guess)"];
    }

    /** @return list<string>|null null: it is known */
    private static function nearNames(CriterionField $field, string $value, string $fact): ?array
    {
        $names = match ($field) {
            CriterionField::Technologies => Technology::query()->pluck('name'),
            CriterionField::Region => Place::query()->whereNotNull('region')->distinct()->pluck('region'),
            CriterionField::PostalCode => Place::query()->whereNotNull('postal_code')->distinct()->pluck('postal_code'),
            CriterionField::Fact => Attribute::values($fact)->pluck('value')->push(OwnFact::ANY),
            default => null,
        };
        if ($names === null) {
            return null;
        }
        $key = fn (string $name): string => $field === CriterionField::Technologies
            ? Spelled::key($name)
            : mb_strtolower(str_replace(' ', '', $name));
        $names = array_map(strval(...), array_values($names->all()));
        foreach ($names as $name) {
            if ($key($name) === $key($value) || $field === CriterionField::PostalCode
                && str_starts_with($key($name), $key($value))) {
                return null;
            }
        }

        return Nearest::of($value, $names);
    }
}
