<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A fragment of a page brings no cookies: one that arrives late, after somebody signed out and somebody else signed in
 * on the same browser, would bring the session of the first one back.
 */
final class FragmentsWithoutCookies
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        // A fragment and its page share an address; whoever keeps answers has to keep them apart.
        $response->setVary('HX-Request', false);
        if ($request->hasHeader('HX-Request')) {
            $response->headers->remove('Set-Cookie');
        }

        return $response;
    }
}
