<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use App\Models\User;
use App\Standings\FirstSteps;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class SignInController extends Controller
{
    public function create(): View
    {
        return view('sign-in', [
            'people' => config('luftig.demo') === true
                ? User::query()->where('signs_in', true)->orderBy('id')->get()
                : collect(),
        ]);
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        $isIn = $request->signIn();
        $request->session()->regenerate();
        if (! $isIn) {
            return redirect()->route('second.ask');
        }
        $begins = $request->user()?->leads() === true && FirstSteps::areOpen();

        return redirect()->intended($begins ? route('begin') : '/');
    }

    /** One click, in the demo only. */
    public function demo(Request $request): RedirectResponse
    {
        abort_unless(config('luftig.demo'), 404);
        Auth::login(User::query()->where('signs_in', true)->findOrFail($request->integer('user')));
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
