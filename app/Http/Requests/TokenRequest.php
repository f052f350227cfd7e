<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A token of somebody's own: what it is called, what it may do, for how long. */
final class TokenRequest extends FormRequest
{
    public const SCOPES = [
        'read' => 'read what you may read', 'accounts' => 'write accounts and signals', 'contacts' => 'write contacts',
        'reasons' => 'write reasons, approaches and results', 'lists' => 'write lists and watches',
    ];

    public const DAYS = ['30' => '30 days', '90' => '90 days', '365' => 'a year'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'], 'days' => ['required', Rule::in(array_keys(self::DAYS))],
            'scopes' => ['required', 'array'], 'scopes.*' => [Rule::in(array_keys(self::SCOPES))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Say what it is for.', 'days.*' => 'Choose for how long.',
            'scopes.*' => 'Say what it may do.', 'scopes' => 'Say what it may do.',
        ];
    }

    public function name(): string
    {
        return $this->string('name')->trim()->toString();
    }

    /** @return list<string> */
    public function scopes(): array
    {
        return array_values(array_intersect(array_keys(self::SCOPES), $this->array('scopes')));
    }

    public function until(): CarbonImmutable
    {
        return CarbonImmutable::now()->addDays($this->integer('days'));
    }
}
