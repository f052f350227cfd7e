<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Countries;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What somebody sets by hand of a contact. */
final class ContactRequest extends FormRequest
{
    private const FIELDS = ['first_name', 'last_name', 'title', 'about', 'interests', 'city', 'country', 'profile'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'first_name' => [Rule::requiredIf($this->namesNobody(...)), 'nullable', 'string', 'max:100'],
            'last_name' => ['nullable', 'string', 'max:100'],
            'title' => ['nullable', 'string', 'max:190'],
            'about' => ['nullable', 'string', 'max:5000'], 'interests' => ['nullable', 'string', 'max:500'],
            'city' => ['nullable', 'string', 'max:100'], 'profile' => ['nullable', 'string', 'max:190'],
            'country' => [
                'bail',
                'nullable',
                'string',
                'max:60',
                fn (string $field, mixed $value, Closure $fail) => Countries::code((string) $value) === null
                    ? $fail("The country “{$value}” is not known.")
                    : null,
            ],
            'since' => ['bail', 'nullable', 'string', 'date', 'before_or_equal:today'],
            'email' => ['nullable', 'email', 'max:190'],
            'phone' => ['nullable', 'string', 'max:60', 'regex:/\d.*\d.*\d/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'first_name.required' => 'Give a name.',
            'email.email' => 'That is not an e-mail address.',
            'phone.regex' => 'That is not a phone number.',
            'since.before_or_equal' => 'Nobody is in a position since a day to come.',
            'since.date' => 'Give a day, as in 2026-11-03.',
        ];
    }

    /** @return array<string, string|null> */
    public function fields(): array
    {
        $fields = [];
        foreach (self::FIELDS as $field) {
            if ($this->has($field)) {
                $text = trim($this->string($field)->toString());
                $fields[$field] = $text === ''
                    ? (str_ends_with($field, '_name') ? '' : null)
                    : ($field === 'country' ? Countries::code($text) : $text);
            }
        }

        return $fields;
    }

    /** Of a person who is there, a name may be left out, but not taken away. */
    private function namesNobody(): bool
    {
        $isAsked = ! $this->isMethod('patch') || $this->hasAny(['first_name', 'last_name']);

        return $isAsked && ! $this->filled('last_name');
    }
}
