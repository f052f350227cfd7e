<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * A fragment that only reads leaves the session as it is. It may be under way while a form is sent: writing back what
 * the session was then, it would take away what the next page is to say.
 */
final class SessionOfPages extends StartSession
{
    private const READING = ['GET', 'POST'];

    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if (! $request->hasHeader('HX-Request') || ! in_array($request->method(), self::READING, true)) {
            parent::saveSession($request);
        }
    }
}
