<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ApproachKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ApproachRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(ApproachKind::class)],
            'contact' => ['nullable', 'integer'],
            'words' => ['nullable', 'string', 'max:2000'], 'angle' => ['nullable', 'string', 'max:190'],
            'next_step' => ['nullable', 'string', 'max:190', 'required_with:next_step_on'],
            'next_step_on' => ['bail', 'nullable', 'string', 'date', 'after_or_equal:today', 'before:+1 year'],
        ];
    }

    public function kind(): ApproachKind
    {
        return ApproachKind::from($this->string('kind')->toString());
    }

    /** @return array{kind: ApproachKind, next_step: string|null, next_step_on: string|null} */
    public function approach(): array
    {
        return [
            'kind' => $this->kind(),
            'next_step' => $this->input('next_step'), 'next_step_on' => $this->input('next_step_on'),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.required' => 'Say how you approached them.',
            'next_step.required_with' => 'Say what the next step is.',
            'next_step_on.after_or_equal' => 'The next step lies ahead of us.',
        ];
    }
}
