<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\OwnFunction;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Luftig\Core\Mistake;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Text\Query;

/** A function of the team's own: what it is called, and the words by which titles tell it. */
final class OwnFunctionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'function' => [
                'bail', 'required', 'string', 'max:40', Rule::unique('own_functions', 'name'),
                function (string $field, mixed $value, Closure $fail): void {
                    if (BusinessFunction::named((string) $value) !== null) {
                        $fail('There is a function of that name already.');
                    }
                },
            ],
            'words' => ['bail', 'required', 'string', 'max:2000',
                function (string $field, mixed $value, Closure $fail): void {
                    try {
                        Query::parse((string) $value);
                    } catch (Mistake $mistake) {
                        $fail($mistake->inWords());
                    }
                }],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'function.required' => 'Give the function a name.',
            'function.unique' => 'There is a function of that name already.',
            'words.required' => 'Say by which words titles tell it.',
        ];
    }

    /** The first that is free of those that are kept for it. */
    public function slot(): ?BusinessFunction
    {
        $taken = OwnFunction::query()->pluck('slot')->all();

        return array_values(array_filter(
            BusinessFunction::cases(),
            fn (BusinessFunction $one): bool => $one->isOwn() && ! in_array($one, $taken, true),
        ))[0] ?? null;
    }
}
