<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where it is set so, whoever leads goes nowhere before a code is asked of them beside their password. */
final class CodeOfLeads
{
    /** Where one may go until then: there, to another password, and out. */
    private const MEANWHILE = ['second.edit', 'second.store', 'pace.edit', 'password.update', 'sign-out'];

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $isAsked = config()->boolean('luftig.leads_code') && $user instanceof User && $user->leads();

        return $isAsked && $user->second_factor === null && ! $request->routeIs(...self::MEANWHILE)
            ? redirect()->route('second.edit')->with(
                'warning', 'Whoever leads signs in with a code beside the password here. Set yours up first.',
            )
            : $next($request);
    }
}
