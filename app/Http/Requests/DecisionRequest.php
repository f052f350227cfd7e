<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class DecisionRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'decision' => ['required', 'in:kept,dropped,later'],
            'until' => ['required_if:decision,later', 'nullable', 'date', 'after:today', 'before:+1 year'],
            'next' => ['bail', 'nullable', 'string', 'starts_with:/', 'not_regex:~^//~'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['until.after' => 'Later is a day after today.', 'until.required_if' => 'Choose the day.'];
    }

    public function nextPage(): string
    {
        return $this->filled('next') ? $this->string('next')->toString() : url()->previous('/');
    }
}
