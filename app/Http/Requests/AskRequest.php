<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class AskRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'path' => ['required', 'string', 'max:200'],
            'request' => ['required', 'string', 'min:10', 'max:3000'],
            'forward' => ['required', 'string', 'min:10', 'max:3000'],
            'remind_on' => ['bail', 'nullable', 'string', 'date', 'after:today', 'before:+1 year'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'request.*' => 'Write the request, in up to 3,000 characters.',
            'forward.*' => 'Write what can be passed on, in up to 3,000 characters.',
            'remind_on.*' => 'A reminder is on a day after today.',
        ];
    }
}
