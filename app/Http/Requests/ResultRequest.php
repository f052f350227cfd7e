<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Result;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ResultRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'result' => ['required', Rule::enum(Result::class)],
            'later_on' => [
                'bail', 'nullable', 'required_if:result,later', 'string', 'date', 'after:today', 'before:+2 years',
            ],
            'instead' => ['nullable', 'string', 'max:190'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'result.required' => 'Choose what came of it.',
            'later_on.required_if' => 'Say on which day to come back.',
            'later_on.after' => 'Later is a day after today.',
        ];
    }
}
