<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Account;
use App\Support\Countries;
use App\Support\Like;
use App\Support\Nearest;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Luftig\Core\Company\Industries;
use Luftig\Core\Index\Index;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Field;

/** Which values of a condition there are: an unknown one is said, with the nearest, and not answered with nobody. */
final readonly class KnownValues
{
    /** Fields whose values are typed. */
    private const TYPED = [
        Field::Industry, Field::MainIndustry, Field::Country, Field::OwnCountry, Field::Region, Field::City,
        Field::PostalArea, Field::Technology, Field::Parent, Field::Domain, Field::OwnCity, Field::Language,
        Field::School, Field::Association,
    ];

    private const SAID = 3;

    /** Letters that domains have in common to be named. */
    private const ALIKE = 5;

    private const SUGGESTED = 12;

    /** @param  list<Index>  $indexes */
    public function __construct(private array $indexes)
    {
    }

    public static function areTyped(Field $field): bool
    {
        return in_array($field, self::TYPED, true);
    }

    /** @throws Mistake where none of the values of a step is known */
    public function check(StepForm $step): void
    {
        $unknown = $this->unknown($step);
        if ($unknown !== [] && count($unknown) === count($step->values())) {
            throw new Mistake($this->says($step->field, $unknown));
        }
    }

    /** What to say of values that are unknown beside others that are known. */
    public function hint(StepForm $step): ?string
    {
        $unknown = $this->unknown($step);

        return $unknown === [] ? null : $this->says($step->field, $unknown);
    }

    /**
     * Values that begin as typed, or in which a word does, with those first that most have.
     *
     * @return array<array-key, string> value → as people read it
     */
    public function suggest(Field $field, string $typed): array
    {
        $begins = ' '.mb_strtolower(trim($typed));
        $counts = $this->counts($field);
        $labels = [];
        if (in_array($field, [Field::Country, Field::OwnCountry], true)) {
            foreach (Countries::groups() as $group => $codes) {
                $labels[implode(',', $codes)] = "$group (".count($codes).' countries)';
            }
            $labels += Countries::all();
        } elseif (in_array($field, [Field::Industry, Field::MainIndustry], true)) {
            $labels = Industries::choices();
            [$code] = Industries::read($typed);
            if ($code !== null && trim($typed) !== '') {
                $labels = [$code => Industries::name($code)] + $labels;
            }
        } else {
            $labels = array_combine(array_keys($counts), array_map(strval(...), array_keys($counts)));
        }
        $read = isset($code) ? (string) $code : null;
        $found = array_filter(
            $labels,
            fn (string $label, int|string $value): bool => (string) $value === $read
                || str_contains(' '.mb_strtolower($label), $begins)
                || str_starts_with(mb_strtolower((string) $value), trim($begins)),
            ARRAY_FILTER_USE_BOTH,
        );
        uksort(
            $found,
            fn (int|string $a, int|string $b): int => [(string) $b === $read, $counts[$b] ?? 0]
                <=> [(string) $a === $read, $counts[$a] ?? 0],
        );

        return array_slice($found, 0, self::SUGGESTED, true);
    }

    /** @return array<array-key, int> value → how many accounts or contacts have it */
    public function counts(Field $field): array
    {
        $counts = [];
        foreach ($this->indexes as $index) {
            foreach ($index->totals($field) as $value => $of) {
                $counts[$value] = ($counts[$value] ?? 0) + max($of);
            }
        }

        return $counts;
    }

    /** @return list<string> as they were typed */
    private function unknown(StepForm $step): array
    {
        $field = $step->field;
        if (! self::areTyped($field) || $step->which() === 'any') {
            return [];
        }
        $known = match ($field) {
            Field::Industry, Field::MainIndustry => Industries::has(...),
            Field::Country, Field::OwnCountry => fn (string $code): bool => isset(Countries::all()[$code]),
            Field::Domain => $this->domains($step->codes()),
            default => $this->names($field),
        };

        return array_values(array_filter(
            $step->values(),
            fn (string $value): bool => array_filter(ValueLabel::codes($field, $value), $known) === [],
        ));
    }

    /** @return Closure(string): bool */
    private function names(Field $field): Closure
    {
        $spelled = [];
        foreach (array_keys($this->counts($field)) as $name) {
            $spelled[$field->spelled((string) $name)] = true;
        }

        return fn (string $value): bool => isset($spelled[$field->spelled($value)]);
    }

    /**
     * @param  list<string>  $domains
     * @return Closure(string): bool
     */
    private function domains(array $domains): Closure
    {
        $found = [];
        foreach (
            array_chunk(
                array_filter($domains, fn (string $one): bool => preg_match('/[^ -~]/', $one) === 0),
                1000,
            ) as $some
        ) {
            $found += array_flip(Account::query()->whereIn('domain', $some)->pluck('domain')->all());
        }

        return fn (string $domain): bool => isset($found[$domain]);
    }

    /** @param  list<string>  $unknown */
    private function says(Field $field, array $unknown): string
    {
        $named = implode(', ', array_map(
            fn (string $value): string => '“'.mb_substr($value, 0, 60).'”',
            array_slice($unknown, 0, self::SAID),
        ));
        $more = count($unknown) - self::SAID;
        $near = count($unknown) === 1 ? $this->near($field, $unknown[0]) : [];

        return 'No '.$field->label().' is known as '.$named.($more > 0 ? " and $more more" : '').'.'
            .Nearest::says($near);
    }

    /** @return list<string> */
    private function near(Field $field, string $typed): array
    {
        return match ($field) {
            Field::Industry, Field::MainIndustry => self::industries($typed),
            Field::Country, Field::OwnCountry => Nearest::of(
                $typed, [...array_values(Countries::all()), ...array_keys(Countries::groups())],
            ),
            Field::Domain => array_values(array_map(strval(...), Account::query()->whereNotNull('domain')
                ->where(fn (Builder $query): Builder => Like::orAscii(
                    $query->where('name', 'like', Like::begins($typed)),
                    'domain',
                    Like::begins(mb_substr($typed, 0, self::ALIKE)),
                ))
                ->limit(self::SAID)->pluck('domain')->all())),
            default => Nearest::of($typed, array_map(strval(...), array_keys($this->counts($field)))),
        };
    }

    /** @return list<string> */
    private static function industries(string $typed): array
    {
        [$guess] = Industries::read($typed);
        $near = Nearest::of(
            $typed,
            array_map(Industries::name(...), array_map(strval(...), array_keys(Industries::choices()))),
        );

        return array_slice(
            array_unique([...$guess === null ? [] : [Industries::name($guess)], ...$near]),
            0,
            self::SAID,
        );
    }
}
