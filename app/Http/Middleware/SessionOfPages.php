<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Session\Store;

/**
 * Several requests of one person may be under way at once, and each would write back the session as it was when it
 * began. A fragment that only reads leaves it as it is; a page keeps what a form meanwhile left for the next page to
 * say, and brings no session back that ended.
 */
final class SessionOfPages extends StartSession
{
    private const READING = ['GET', 'POST'];

    /** Of whom it is shown that the session was there before. */
    private const WAS_THERE = 'session was there';

    /** @param  Session  $session */
    protected function startSession(Request $request, $session): Session
    {
        $session = parent::startSession($request, $session);
        $request->attributes->set(
            self::WAS_THERE,
            $request->cookies->get($session->getName()) === $session->getId() && self::isKept($session),
        );

        return $session;
    }

    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if ($request->hasHeader('HX-Request') && in_array($request->method(), self::READING, true)) {
            return;
        }
        $session = $request->session();
        if ($session instanceof Store && $request->isMethod('GET')) {
            $now = clone $session;
            $now->flush();
            $now->start();
            if ($request->attributes->get(self::WAS_THERE) === true && ! self::isKept($now)) {
                return;
            }
            self::keepSaid($now, $session);
        }
        parent::saveSession($request);
    }

    /** Whether it was read, and not begun just now with nothing but a token. */
    private static function isKept(Session $session): bool
    {
        return count($session->all()) > 1;
    }

    /** What is for the next page, and was not there when this one began. */
    private static function keepSaid(Store $now, Store $session): void
    {
        $said = array_diff((array) $now->get('_flash.old', []), (array) $session->get('_flash.new', []));
        foreach (array_filter($said, is_string(...)) as $key) {
            if (serialize($now->get($key)) !== serialize($session->get($key))) {
                $session->flash($key, $now->get($key));
            }
        }
    }
}
