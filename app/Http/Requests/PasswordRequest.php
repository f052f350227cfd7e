<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\PasswordBytes;
use App\Rules\UncommonPassword;
use App\Support\PasswordStrength;
use Illuminate\Foundation\Http\FormRequest;

/** Another password of one's own; whoever sits at an open screen does not know the old one. */
final class PasswordRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'current' => ['required', 'string', 'current_password'],
            'password' => [
                'required', 'string', 'min:'.PasswordStrength::SHORTEST, 'confirmed', new PasswordBytes,
                new UncommonPassword,
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.required' => 'Type the password you have now.',
            'current.current_password' => 'That is not the password you have now. Nothing was changed.',
            'password.required' => 'Type the new password.',
            'password.min' => 'A password has at least twelve characters.',
            'password.confirmed' => 'The two are not the same. Type the new password twice.',
        ];
    }

    /**
     * The names of whoever it is are no password either.
     *
     * @return array<string, mixed>
     */
    public function validationData(): array
    {
        return ['name' => $this->user()?->name, 'email' => $this->user()?->email] + $this->all();
    }
}
