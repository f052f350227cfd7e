<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Support\OneTimeCode;
use App\Support\SecondFactor;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** A second factor of one's own, and the code that is asked for after the password. */
final class SecondFactorController extends Controller
{
    /** Minutes after the password in which the code is typed. */
    private const MINUTES = 10;

    public function edit(Request $request): View
    {
        $user = self::user($request);
        $secret = $request->session()->get('second_secret');
        if ($user->second_factor === null && ! is_string($secret)) {
            $secret = OneTimeCode::secret();
            $request->session()->put('second_secret', $secret);
        }

        return view('second-factor', [
            'user' => $user, 'secret' => implode(' ', str_split((string) $secret, 4)),
            'address' => OneTimeCode::address((string) $secret, (string) $user->email),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            ['current' => ['required', 'string', 'current_password'], 'code' => ['required', 'string', 'max:20']],
            ['current.*' => 'That is not your password. Nothing was changed.', 'code.*' => 'Type the six digits.'],
        );
        $secret = $request->session()->get('second_secret');
        $step = is_string($secret)
            ? OneTimeCode::step($secret, $request->string('code')->toString(), now()->getTimestamp()) : null;
        if (! is_string($secret) || $step === null) {
            throw ValidationException::withMessages([
                'code' => 'The code does not fit. Type the one that is shown now; if none does, the clock there is '
                    .'wrong.',
            ]);
        }
        $request->session()->forget('second_secret');

        return redirect()->route('second.edit')
            ->with('codes', SecondFactor::begin(self::user($request), $secret, $step));
    }

    public function destroy(Request $request): RedirectResponse
    {
        $request->validate(
            ['current' => ['required', 'string', 'current_password']],
            ['current.*' => 'That is not your password. Nothing was changed.'],
        );
        SecondFactor::end(self::user($request));

        return redirect()->route('pace.edit')->with('said', 'You sign in with your password alone again.');
    }

    public function ask(Request $request): View|RedirectResponse
    {
        return $this->whose($request) === null ? redirect()->route('login') : view('sign-in-second');
    }

    public function answer(Request $request): RedirectResponse
    {
        $user = $this->whose($request);
        if ($user === null) {
            return redirect()->route('login')
                ->withErrors(['email' => 'That took too long. Type your password again.']);
        }
        $request->validate(['code' => ['required', 'string', 'max:40']], ['code.*' => 'Type the code.']);
        if (! SecondFactor::accepts($user, $request->string('code')->toString())) {
            activity()->performedOn($user)->causedBy($user)->log('sign-in failed at the second factor');
            throw ValidationException::withMessages(['code' => 'This code does not count, or not any more.']);
        }
        $remember = $request->session()->pull('second.remember') === true;
        $request->session()->forget('second');
        Auth::login($user, $remember);
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    /** Who has typed the password a moment ago. */
    private function whose(Request $request): ?User
    {
        $pending = $request->session()->get('second');

        return is_array($pending) && now()->getTimestamp() - (int) ($pending['at'] ?? 0) <= 60 * self::MINUTES
            ? User::query()->where('signs_in', true)->whereNotNull('second_factor')
                ->whereKey((int) ($pending['user'] ?? 0))->first() : null;
    }
}
