<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\TokenRequest;
use App\View\Team\TokensPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Tokens with which programs act for one. */
final class TokenController extends Controller
{
    public function index(Request $request): View
    {
        return view('tokens', [
            'page' => new TokensPage(self::user($request), TokenRequest::SCOPES),
            'scopes' => TokenRequest::SCOPES, 'days' => TokenRequest::DAYS,
        ]);
    }

    /** Shown this once. */
    public function store(TokenRequest $request): RedirectResponse
    {
        $user = self::user($request);
        $token = $user->createToken($request->name(), $request->scopes(), $request->until());
        activity()->performedOn($user)->withProperties(['token' => $request->name(), 'may' => $request->scopes()])
            ->log('token made');

        return redirect()->route('tokens.index')->with('token', $token->plainTextToken);
    }

    public function destroy(Request $request, int $token): RedirectResponse
    {
        $user = self::user($request);
        $user->tokens()->findOrFail($token)->delete();
        activity()->performedOn($user)->log('token ended');

        return redirect()->route('tokens.index')->with('said', 'The token holds no more.');
    }
}
