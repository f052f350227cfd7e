<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What somebody types of an account; how it is read is the intake's. */
final class AccountRequest extends FormRequest
{
    use ValuesAsCells;

    public const FIELDS = [
        'name', 'domain', 'industry', 'headcount', 'revenue', 'growth', 'founded', 'country', 'region', 'city',
        'postal_code', 'other_sites', 'technologies', 'keywords', 'description', 'status', 'customer_since',
        'customer_until', 'customer_best',
    ];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['name' => [$this->isMethod('patch') ? 'filled' : 'required', 'string', 'max:255']]
            + array_fill_keys(self::FIELDS, ['nullable', 'string', 'max:5000']);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Give the account a name.'];
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
