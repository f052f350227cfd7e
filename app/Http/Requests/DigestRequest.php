<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** When somebody's day is, and at which hour of it their digest is mailed. */
final class DigestRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['digest_hour' => ['required', 'integer', 'between:0,23'], 'time_zone' => ['required', 'timezone']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'digest_hour.*' => 'An hour is a number from 0 to 23.',
            'time_zone.*' => 'That time zone is not known.',
        ];
    }
}
