<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Who wanted what they may not stands in the log: once a minute, however often they ask. */
final class Refusals
{
    private const SECONDS = 60;

    private const LONG = 200;

    public static function record(HttpException $refused, Request $request): void
    {
        $user = $request->user();
        if ($refused->getStatusCode() !== 403 || ! $user instanceof User) {
            return;
        }
        // Not what was asked with: it may name people, or hold a key.
        $asked = Str::limit($request->method().' /'.$request->path(), self::LONG);
        RateLimiter::attempt("refused {$user->id} ".sha1($asked), 1, fn () => activity()->causedBy($user)
            ->withProperties(['attributes' => ['asked' => $asked]])->log('was refused'), self::SECONDS);
    }
}
