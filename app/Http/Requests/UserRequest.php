<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Role;
use App\Models\User;
use App\Rules\PasswordBytes;
use App\Rules\UncommonPassword;
use App\Support\PasswordStrength;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

final class UserRequest extends FormRequest
{
    public function authorize(): bool
    {
        $user = $this->route('user');

        return $user instanceof User
            ? (bool) $this->user()?->can('update', $user)
            : (bool) $this->user()?->can('create', User::class);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->route('user');
        $id = $user instanceof User ? $user->id : null;

        return [
            'name' => ['required', 'string', 'max:100'],
            'role' => ['required', Rule::enum(Role::class)],
            'email' => ['nullable', 'email', 'max:190', Rule::unique('users')->ignore($id)],
            'password' => [
                'nullable', 'string', 'min:'.PasswordStrength::SHORTEST, new PasswordBytes, new UncommonPassword,
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.unique' => 'Somebody has this address already.',
            'password.min' => 'A password has at least twelve characters.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $user = $this->route('user');
            $signsIn = $this->filled('email');
            if ($signsIn && ! $this->filled('password') && ! ($user instanceof User && $user->password !== null)) {
                $validator->errors()->add('password', 'Whoever signs in needs a password.');
            }
            if (
                $user instanceof User
                && $user->is($this->user())
                && (! $signsIn || $this->input('role') !== $user->role->value)
            ) {
                $validator->errors()->add('role', 'You cannot take your own role or sign-in away.');
            }
            if ($this->input('role') === Role::Admin->value && $this->user()?->role !== Role::Admin) {
                $validator->errors()->add('role', 'Only an admin makes an admin.');
            }
        });
    }

    /** @return array<string, mixed> */
    public function person(): array
    {
        $password = $this->string('password')->toString();
        $isOwn = $this->user()?->is($this->route('user')) === true;

        return [
            'name' => $this->input('name'), 'role' => $this->input('role'), 'email' => $this->input('email'),
            'signs_in' => $this->filled('email'),
        ]
            + ($password === '' ? [] : ($isOwn ? ['password' => $password] : User::given($password)));
    }
}
