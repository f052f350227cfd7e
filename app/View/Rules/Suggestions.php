<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\Attribute;
use App\Models\Place;
use App\Models\Technology;
use App\Support\Countries;
use App\Support\Like;
use Luftig\Core\Company\Industries;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\OwnFact;
use Luftig\Core\Text\Fold;

/** Values of a criterion that begin, or in which a word begins, as typed. */
final class Suggestions
{
    private const MOST = 12;

    /** @return array<int|string, string> value → as people read it */
    public static function of(CriterionField $field, string $typed): array
    {
        $typed = trim($typed);
        if ($typed === '') {
            return [];
        }

        return match ($field) {
            CriterionField::Industries => self::industries($typed),
            CriterionField::Country => self::countries($typed),
            CriterionField::Technologies => self::same(Technology::query()->where('name', 'like', Like::begins($typed))
                ->orderBy('name')
                ->limit(self::MOST)->pluck('name')->all()),
            CriterionField::Region => self::same(Place::query()->where('region', 'like', Like::begins($typed))
                ->distinct()->orderBy('region')
                ->limit(self::MOST)->pluck('region')->all()),
            CriterionField::PostalCode => self::same(Place::query()->where('postal_code', 'like', Like::begins($typed))
                ->distinct()
                ->orderBy('postal_code')->limit(self::MOST)->pluck('postal_code')->all()),
            CriterionField::Fact => [OwnFact::ANY => 'whatever is known'] + self::same(Attribute::values()
                ->where('value', 'like', Like::begins($typed))->limit(self::MOST)->pluck('value')->all()),
            default => [],
        };
    }

    /** @return array<int|string, string> countries, and those that are named together */
    private static function countries(string $typed): array
    {
        $groups = [];
        foreach (Countries::groups() as $name => $codes) {
            $groups[implode(',', $codes)] = "$name (".count($codes).' countries)';
        }

        return self::named($groups + Countries::all(), $typed);
    }

    /** @return array<int|string, string> by code, by a word of the name, or by a word of everyday */
    private static function industries(string $typed): array
    {
        $found = array_filter(
            Industries::choices(),
            fn (int|string $code): bool => str_starts_with((string) $code, strtoupper($typed)),
            ARRAY_FILTER_USE_KEY,
        ) + self::named(Industries::choices(), $typed);
        [$read] = Industries::read($typed);
        if ($read !== null) {
            $found += [$read => Industries::name($read)];
        }
        $found = array_slice($found, 0, self::MOST, true);

        return array_combine(array_keys($found), array_map(
            fn (int|string $code): string => CriterionRow::label(CriterionField::Industries, (string) $code),
            array_keys($found),
        ));
    }

    /**
     * @param  array<int|string, string>  $names
     * @return array<int|string, string>
     */
    private static function named(array $names, string $typed): array
    {
        $begins = ' '.trim(Fold::line($typed));

        return array_slice(
            array_filter($names, fn (string $name): bool => str_contains(' '.trim(Fold::line($name)), $begins)),
            0,
            self::MOST,
            true,
        );
    }

    /**
     * @param  array<int, string|null>  $values
     * @return array<string, string>
     */
    private static function same(array $values): array
    {
        $values = array_filter($values, is_string(...));

        return array_combine($values, $values);
    }
}
