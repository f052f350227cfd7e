<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\KeptList;
use Illuminate\Foundation\Http\FormRequest;

/** Who is to be asked for: the people of a list, or some who are named. */
final class LookUpRequest extends FormRequest
{
    public const MOST_PEOPLE = 5000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'list' => ['nullable', 'integer', 'exists:lists,id'],
            'contacts' => ['nullable', 'array', 'max:'.self::MOST_PEOPLE],
            'contacts.*' => ['integer', 'min:1', 'max:9999999999'],
            'least' => ['nullable', 'numeric', 'between:0,100'],
            'most' => ['nullable', 'numeric', 'min:0.1', 'max:1000000'],
            'accepts_doubtful' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'list.*' => 'This list is no longer there.', 'least.*' => 'A priority lies between 0 and 100.',
            'most.*' => 'How many credits it may take is a number above 0.',
            'contacts*' => 'Choose whom to ask for, at most '.number_format(self::MOST_PEOPLE).' at once.',
        ];
    }

    public function list(): ?KeptList
    {
        $list = $this->integer('list');

        return $list > 0 ? KeptList::query()->find($list) : null;
    }

    /** @return list<int> ids, in the order in which they are asked for */
    public function people(): array
    {
        $list = $this->list();
        if ($list !== null) {
            return $list->subject === 'contacts' ? array_values(array_map(
                intval(...), $list->members()->limit(self::MOST_PEOPLE)->pluck('record_id')->all(),
            )) : [];
        }

        return array_values(array_unique(array_map(intval(...), (array) $this->input('contacts', []))));
    }

    public function least(): ?float
    {
        return $this->filled('least') ? $this->float('least') : null;
    }
}
