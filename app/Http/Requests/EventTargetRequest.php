<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\AskableAddress;
use Illuminate\Foundation\Http\FormRequest;

final class EventTargetRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'address' => ['bail', 'required', 'string', 'max:500', new AskableAddress],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Say who is told.', 'address.required' => 'Give the address that is told.',
        ];
    }

    /** @return array{name: string, address: string} */
    public function target(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(),
            'address' => $this->string('address')->trim()->toString(),
        ];
    }
}
