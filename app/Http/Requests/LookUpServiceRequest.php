<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\LookUpService;
use App\Rules\AskableAddress;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class LookUpServiceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => [
                'required', 'string', 'max:60', Rule::unique('look_up_services')->ignore($this->route('service')),
            ],
            'does' => ['required', Rule::in([LookUpService::FINDS, LookUpService::CHECKS, LookUpService::KNOWS])],
            'address' => ['bail', 'required', 'string', 'max:500', new AskableAddress],
            'secret' => ['nullable', 'string', 'max:500'],
            'price' => ['required', 'numeric', 'between:0,1000'],
            'position' => ['required', 'integer', 'between:0,99'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the service a name.', 'name.unique' => 'There is a service of this name.',
            'name.max' => 'A name has up to 60 characters.',
            'does.*' => 'It finds addresses, checks them, or knows figures of companies.',
            'price.*' => 'A price is a number of credits, 0 to 1,000.',
            'address.required' => 'Give the address at which it is asked.',
            'position.*' => 'Its place in the order is a number from 0 to 99.',
        ];
    }

    /** @return array<string, mixed> a secret that is not typed stays */
    public function service(): array
    {
        $fields = $this->safe()->only(['name', 'does', 'address', 'price', 'position']);

        return $this->filled('secret') ? $fields + ['secret' => $this->string('secret')->toString()] : $fields;
    }
}
