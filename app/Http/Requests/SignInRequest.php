<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Rules\PasswordBytes;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final class SignInRequest extends FormRequest
{
    /** @return array<string, list<PasswordBytes|string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email'], 'password' => ['required', 'string', new PasswordBytes]];
    }

    public function signIn(): void
    {
        if (! Auth::attempt([...$this->only('email', 'password'), 'signs_in' => true], $this->boolean('remember'))) {
            // As long as for somebody who is known.
            if (User::query()->where('email', $this->input('email'))->where('signs_in', true)->doesntExist()) {
                Hash::make(Str::random());
            }
            throw ValidationException::withMessages(['email' => 'This address and password do not go together.']);
        }
    }
}
