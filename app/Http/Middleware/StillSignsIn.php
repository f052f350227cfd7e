<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\Format;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whose sign-in was taken away is out with the next click; and whoever signed in longer ago than the team allows. */
final class StillSignsIn
{
    /** When somebody was first seen in a session. */
    private const SINCE = 'signed in since';

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $isLongAgo = $user !== null && self::isLongAgo($request);
        if ($user !== null && (! $user->signs_in || $isLongAgo)) {
            Auth::logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();
            if ($isLongAgo) {
                $hours = Format::count(config()->integer('luftig.sign_in_hours'), 'hour');
                $request->session()->flash('warning', "After $hours one signs in again. What was saved is there.");
            }
            throw new AuthenticationException(redirectTo: route('login'));
        }

        return $next($request);
    }

    private static function isLongAgo(Request $request): bool
    {
        $session = $request->session();
        if (! $session->has(self::SINCE)) {
            $session->put(self::SINCE, now()->getTimestamp());
        }
        $hours = config()->integer('luftig.sign_in_hours');

        // A form that is open has an hour more, so that what was typed in it is not lost.
        $until = now()->subHours($hours + ($request->isMethod('GET') ? 0 : 1))->getTimestamp();

        return $hours > 0 && (Auth::viaRemember() || $session->get(self::SINCE) < $until);
    }
}
