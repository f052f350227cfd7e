<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Account;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use LogicException;

/** A note on an account, or on one of its people. */
final class NoteRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:5000'],
            'contact_id' => [
                'nullable', 'integer', Rule::exists('contacts', 'id')->where('account_id', $this->account()->id),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'The note is empty.', 'contact_id.*' => 'This person is at another account now.',
        ];
    }

    private function account(): Account
    {
        $account = $this->route('account');

        return $account instanceof Account ? $account : throw new LogicException('The route names an account.');
    }
}
