<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PasswordRequest;
use Illuminate\Http\RedirectResponse;

final class PasswordController extends Controller
{
    /** Ends what was begun elsewhere with the old one. */
    public function update(PasswordRequest $request): RedirectResponse
    {
        self::user($request)->update(['password' => $request->string('password')->toString()]);
        $request->session()->regenerate();

        return redirect()->route('pace.edit')
            ->with('said', 'Your password is changed. Whoever was signed in with the old one elsewhere is signed out.');
    }
}
