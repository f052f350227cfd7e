<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class StandingOrderRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'credits' => ['required', 'numeric', 'between:1,1000000'],
            'least' => ['nullable', 'numeric', 'between:0,100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'credits.*' => 'A standing order has a number of credits a month, 1 or more.',
            'least.*' => 'A priority lies between 0 and 100.',
        ];
    }

    /** @return array<string, mixed> */
    public function order(): array
    {
        return [
            'credits' => $this->float('credits'), 'least' => $this->filled('least') ? $this->float('least') : null,
            'accepts_doubtful' => $this->boolean('accepts_doubtful'),
        ];
    }
}
