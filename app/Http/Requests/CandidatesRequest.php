<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Which candidates, and what is decided of them. */
final class CandidatesRequest extends FormRequest
{
    private const MOST = 100;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'ids' => ['required', 'array', 'max:'.self::MOST], 'ids.*' => ['integer'],
            'do' => ['required', Rule::in(['accept', 'aside'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['ids.required' => 'Choose at least one.', 'ids.*' => 'Choose at most '.self::MOST.' at once.'];
    }

    /** @return list<int> */
    public function ids(): array
    {
        return array_map(intval(...), array_values($this->array('ids')));
    }

    public function takesIn(): bool
    {
        return $this->string('do')->toString() === 'accept';
    }
}
