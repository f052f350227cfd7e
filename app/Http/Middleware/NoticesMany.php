<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/** Who asks far more within an hour than work does stands in the log once; programs may ask more than people. */
final readonly class NoticesMany
{
    /** Two pages that ask every two seconds how far something got are work. */
    private const OF_PERSON = 6_000;

    private const OF_PROGRAM = 30_000;

    private const HOUR = 3600;

    /** Asked by what watches the machine. */
    private const WATCHED = ['up', 'metrics'];

    public function handle(Request $request, Closure $next): Response
    {
        return $next($request);
    }

    /** When the answer has gone out, so that nobody waits for it. */
    public function terminate(Request $request): void
    {
        if ($request->is(...self::WATCHED)) {
            return;
        }
        $isProgram = $request->is('api/*');
        $whose = $request->user();
        $who = $whose === null ? "network {$request->ip()}"
            : Str::lower(class_basename($whose))." {$whose->getAuthIdentifier()}";
        $asked = RateLimiter::hit(($isProgram ? 'program of ' : '')."$who asked", self::HOUR);
        if ($asked === ($isProgram ? self::OF_PROGRAM : self::OF_PERSON)) {
            activity()->causedBy($whose instanceof User ? $whose : null)
                ->withProperties(['attributes' => ['requests' => $asked, 'of' => $who]])->log('asked very often');
        }
    }
}
