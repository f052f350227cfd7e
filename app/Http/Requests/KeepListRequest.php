<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Offer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Those found, or those ticked of them, as a new list or onto one that is there. */
final class KeepListRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(Offer $offer): array
    {
        return [
            'onto' => ['nullable', 'integer'],
            'name' => [
                'required_without:onto', 'nullable', 'string', 'max:100',
                ...$this->filled('onto') ? [] : [
                    Rule::unique('lists')->where('offer_id', $offer->id)->whereNull('deleted_at'),
                ],
            ],
            'per_account' => ['nullable', 'integer', 'between:1,50'],
            'best' => ['nullable', 'integer', 'min:1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required_without' => 'Give the list a name.',
            'name.unique' => 'There is a list of this name; choose it under “onto” to add to it.',
            'best.*' => 'Only the best: a number from 1.',
            'per_account.*' => 'At one account: a number from 1 to 50.',
        ];
    }

    /** @return list<int>|null null: all that were found */
    public function ticked(): ?array
    {
        $ticked = array_values(
            array_map(intval(...), array_filter((array) $this->input('only', []), is_numeric(...))),
        );

        return $ticked === [] ? null : $ticked;
    }

    public function number(string $field): ?int
    {
        return $this->filled($field) ? $this->integer($field) : null;
    }
}
