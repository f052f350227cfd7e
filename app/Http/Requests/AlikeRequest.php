<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Examples that are typed or pasted: domains, or how somebody describes themselves. */
final class AlikeRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'domains' => ['nullable', 'string', 'max:20000'], 'text' => ['nullable', 'string', 'max:20000'],
            'e' => ['nullable', 'string', 'max:2000'], 'x' => ['nullable', 'string', 'max:2000'],
            'as' => ['nullable', 'in:example,counter'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'domains.*' => 'Give domains, a line each.', 'text.*' => 'A text has up to 20,000 characters.',
            'as.*' => 'It is an example or a counter-example.',
        ];
    }

    /** @return list<string> */
    public function domains(): array
    {
        return array_values(array_unique(array_filter(
            preg_split('/[\s,;]+/', $this->string('domains')->trim()->toString()) ?: [],
            fn (string $one): bool => $one !== '',
        )));
    }
}
