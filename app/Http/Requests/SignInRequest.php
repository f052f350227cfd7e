<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

final class SignInRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email'], 'password' => ['required', 'string']];
    }

    public function signIn(): void
    {
        if (! Auth::attempt([...$this->only('email', 'password'), 'signs_in' => true], $this->boolean('remember'))) {
            throw ValidationException::withMessages(['email' => 'This address and password do not go together.']);
        }
    }
}
