<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Offer;
use App\Models\RuleSet;
use App\Standings\CriterionValues;
use App\Standings\FirstSteps;
use App\Support\Countries;
use App\Support\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Arr;
use Illuminate\Validation\Validator;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Mistake;

/** Whom an offer serves, in its first form: industries, countries, size. */
final class ServesRequest extends FormRequest
{
    public function authorize(): bool
    {
        return (bool) $this->user()?->can('create', RuleSet::class);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'trade' => ['nullable', 'string', 'max:40'], 'low' => ['nullable', 'string', 'max:40'],
            'high' => ['nullable', 'string', 'max:40'],
            'industries' => ['array', 'max:60'], 'countries' => ['array', 'max:60'], 'not' => ['array', 'max:60'],
            'industries.*' => ['nullable', 'string', 'max:2000'], 'countries.*' => ['nullable', 'string', 'max:2000'],
            'not.*' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            foreach (FirstSteps::VALUES as $name => [$field]) {
                $doubt = CriterionValues::doubt($field, $this->values($name), false);
                if ($doubt !== null) {
                    $validator->errors()->add($name, ucfirst($doubt));
                }
            }
            foreach (['low', 'high'] as $bound) {
                try {
                    $this->headcount($bound);
                } catch (Mistake $mistake) {
                    $validator->errors()->add($bound, $mistake->inWords());
                }
            }
        }];
    }

    /**
     * The criteria of the rules in force, with these in the place of those of their names.
     *
     * @return list<array<string, mixed>>
     */
    public function criteria(Offer $offer): array
    {
        $criteria = [];
        $steps = new FirstSteps($offer);
        foreach (FirstSteps::VALUES as $name => [$field, $mode, $called]) {
            if ($this->values($name) !== []) {
                $criteria[$called] = ['name' => $called, 'field' => $field->value, 'any' => $this->values($name)]
                    + $steps->asWeighed($called) + ['mode' => $mode];
            }
        }
        $range = [$this->headcount('low'), $this->headcount('high')];
        if ($range !== [null, null]) {
            $criteria[FirstSteps::SIZE] = [
                'name' => FirstSteps::SIZE, 'field' => CriterionField::Headcount->value, 'range' => $range,
            ] + ($steps->asWeighed(FirstSteps::SIZE) ?: ['mode' => 'prefer', 'weight' => 2.0]);
        }

        return [...array_values($criteria), ...$steps->others()];
    }

    /** @return list<string> codes */
    private function values(string $name): array
    {
        $typed = array_filter(Arr::flatten((array) $this->input($name, [])), is_string(...));
        $values = array_filter(
            array_map(trim(...), preg_split('/[,;\n]/', implode("\n", $typed)) ?: []),
            fn (string $value): bool => $value !== '',
        );

        return array_values(array_unique(array_merge([], ...array_map(
            fn (string $value): array => $name === 'countries'
                ? Countries::group($value) ?? [Countries::code($value) ?? $value]
                : [CriterionValues::industry($value)],
            $values,
        ))));
    }

    private function headcount(string $bound): ?float
    {
        $text = is_string($this->input($bound)) ? trim($this->input($bound)) : '';

        return $text === '' ? null : Quantity::Plain->read($text);
    }
}
