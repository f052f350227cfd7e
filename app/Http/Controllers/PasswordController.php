<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PasswordRequest;
use App\Support\PasswordStrength;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class PasswordController extends Controller
{
    /** Of what is longer, the beginning is enough to weigh it by. */
    private const LONGEST = 200;

    /** While it is typed. */
    public function weigh(Request $request): View
    {
        $user = self::user($request);
        $typed = $request->input('password');

        return view('strength', ['strength' => is_string($typed) && $typed !== ''
            ? PasswordStrength::of(mb_substr($typed, 0, self::LONGEST), $user->name, (string) $user->email) : null]);
    }

    /** Ends what was begun elsewhere with the old one. */
    public function update(PasswordRequest $request): RedirectResponse
    {
        self::user($request)->update(['password' => $request->string('password')->toString()]);
        $request->session()->regenerate();

        return redirect()->route('pace.edit')
            ->with('said', 'Your password is changed. Whoever was signed in with the old one elsewhere is signed out.');
    }
}
