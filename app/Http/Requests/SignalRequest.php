<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Luftig\Core\Signal\Kind;

/** A signal that somebody types; how it is read is the intake's. */
final class SignalRequest extends FormRequest
{
    use ValuesAsCells;

    private const FIELDS = [
        'kind', 'date', 'title', 'quote', 'link', 'person', 'amount', 'round', 'technology', 'deed', 'strength',
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(Kind::class)], 'date' => ['required', 'string', 'max:60'],
            'title' => ['required', 'string', 'max:255'],
        ] + array_fill_keys(self::FIELDS, ['nullable', 'string', 'max:5000']);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.*' => 'Choose what sort of signal it is.', 'date.required' => 'Give the day on which it happened.',
            'title.required' => 'Say what happened.',
        ];
    }

    /** @return array<string, string> */
    public function cells(): array
    {
        return array_map(
            fn (mixed $value): string => is_string($value) ? $value : '',
            array_replace(array_fill_keys(self::FIELDS, ''), $this->only(self::FIELDS)),
        );
    }
}
