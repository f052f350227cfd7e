<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\Request;

abstract class Controller
{
    use AuthorizesRequests;

    private const LAST_PAGE = 1_000_000;

    /** Whoever is signed in; the routes let nobody else come here. */
    protected static function user(Request $request): User
    {
        return $request->user() ?? throw new AuthenticationException;
    }

    /** A text out of the address; empty where there is none, or something else. */
    protected static function text(Request $request, string $key, int $most = 100): string
    {
        $text = $request->query($key);

        return is_string($text) ? mb_substr(trim($text), 0, $most) : '';
    }

    /** The number of the page that is asked for, from 1. */
    protected static function page(Request $request): int
    {
        return min(self::LAST_PAGE, max(1, $request->integer('page')));
    }
}
