<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\Attribute;
use App\Standings\CriterionValues;
use App\Support\Countries;
use App\Support\Format;
use Luftig\Core\Company\Industries;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Fit\OwnFact;

/** A criterion of a target profile as the fields of a form, with words where it holds codes. */
final readonly class CriterionRow
{
    /**
     * @param  array<string, mixed>  $given  as a form has it: name, field, mode, weight, any, value, low, high, where
     */
    private function __construct(public string $key, private array $given)
    {
    }

    /** An empty one, for a template. */
    public static function blank(string $key, CriterionField $field = CriterionField::Headcount): self
    {
        return new self($key, ['field' => $field->value]);
    }

    /** @param  array<string, mixed>  $given */
    public static function typed(string $key, array $given): self
    {
        return new self($key, $given);
    }

    /** @param  array<string, mixed>  $criterion  as it is stored */
    public static function stored(string $key, array $criterion): self
    {
        $row = array_intersect_key($criterion, array_flip(['name', 'field', 'mode', 'weight', 'fact']));

        $row['where'] = ($criterion['any_site'] ?? false) === true ? 'any' : '';

        return new self($key, $row + match (true) {
            isset($criterion['range']) => [
                'low' => self::number($criterion['field'], $criterion['range'][0]),
                'high' => self::number($criterion['field'], $criterion['range'][1]),
            ],
            isset($criterion['any']) => ['any' => $criterion['any']],
            isset($criterion['within']) => [
                'value' => implode(', ', $criterion['within']['of']),
                'low' => $criterion['within']['km'],
            ],
            default => ['value' => $criterion['query']],
        });
    }

    /** As people write it: a growth in per cent, thousands parted. */
    private static function number(string $field, mixed $value): string
    {
        return match (true) {
            ! is_numeric($value) => is_scalar($value) ? (string) $value : '',
            $field === CriterionField::Growth->value => round(100 * (float) $value, 4).' %',
            $field === CriterionField::Revenue->value => Format::number((float) $value),
            default => (string) $value,
        };
    }

    /** What a bound is a number of. */
    public function unit(): string
    {
        return match ($this->field()) {
            CriterionField::Revenue => 'in EUR, or with a currency: 1,5 Mio, 20 MSEK',
            CriterionField::Growth => 'in per cent over a year',
            CriterionField::Number => 'as it stands in your file',
            default => '',
        };
    }

    /** Whether values can be meant that nobody has yet. */
    public function canBeNew(): bool
    {
        return CriterionValues::canBeNew($this->field());
    }

    public function name(string $field): string
    {
        return "criteria[{$this->key}][$field]";
    }

    public function given(string $field): string
    {
        return is_scalar($this->given[$field] ?? null) ? (string) $this->given[$field] : '';
    }

    public function field(): CriterionField
    {
        return CriterionField::tryFrom($this->given('field')) ?? CriterionField::Headcount;
    }

    public function mode(): string
    {
        return $this->given('mode') ?: Mode::Prefer->value;
    }

    /** How it is tested: range, any, within or query. */
    public function test(): string
    {
        return $this->field()->test();
    }

    /** @return array<string, string> which places are asked, for a field of a place; none for others */
    public function places(): array
    {
        return $this->field()->isOfSite() ? ['' => 'the headquarters', 'any' => 'any site'] : [];
    }

    /** @return array<string, string> the facts of the team's own, for a criterion on one; none for others */
    public function facts(): array
    {
        if (! $this->field()->isOwn()) {
            return [];
        }
        $names = Attribute::query()->orderBy('name')->pluck('name')->all();
        $given = $this->given('fact');
        if ($given !== '' && ! in_array($given, $names, true)) {
            $names[] = $given;
        }

        return ['' => 'choose one'] + array_combine($names, $names);
    }

    /** What to do first, where there is no fact to choose from. */
    public function factsFirst(): ?string
    {
        return count($this->facts()) > 1
            ? null
            : 'There is none yet: bring a file, and keep a column of it as a fact of your own.';
    }

    /** @return array<string, string> value → as people read it */
    public function chosen(): array
    {
        $values = array_filter((array) ($this->given['any'] ?? []), is_scalar(...));

        return array_combine(
            array_map(strval(...), $values),
            array_map(fn (mixed $value): string => self::label($this->field(), (string) $value), $values),
        );
    }

    /** A value of a field as people read it. */
    public static function label(CriterionField $field, string $value): string
    {
        return match ($field) {
            CriterionField::Industries => Industries::has($value)
                ? lcfirst(Industries::name($value))." ($value)"
                : $value,
            CriterionField::Country => Countries::name($value) ?: $value,
            CriterionField::Fact => $value === OwnFact::ANY ? 'whatever is known' : $value,
            default => $value,
        };
    }
}
