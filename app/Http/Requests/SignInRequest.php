<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Rules\PasswordBytes;
use Illuminate\Auth\Events\Failed;
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

    /** @return bool whether they are in; else a second factor is asked for */
    public function signIn(): bool
    {
        $typed = [...$this->only('email', 'password'), 'signs_in' => true];
        if (! Auth::validate($typed)) {
            event(new Failed('web', Auth::getLastAttempted(), $typed));
            // As long as for somebody who is known.
            if (User::query()->where('email', $this->input('email'))->where('signs_in', true)->doesntExist()) {
                Hash::make(Str::random());
            }
            throw ValidationException::withMessages(['email' => 'This address and password do not go together.']);
        }
        $user = Auth::getLastAttempted();
        if ($user instanceof User && $user->password_until?->isPast() === true) {
            throw ValidationException::withMessages([
                'email' => 'The password you were given let you in for a week. Ask whoever gave it to you for another.',
            ]);
        }
        if ($user instanceof User && $user->second_factor !== null) {
            $this->session()->put('second', [
                'user' => $user->id, 'remember' => $this->boolean('remember'), 'at' => now()->getTimestamp(),
            ]);

            return false;
        }
        Auth::login($user, $this->boolean('remember'));

        return true;
    }
}
