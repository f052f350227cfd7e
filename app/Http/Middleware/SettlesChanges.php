<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Standings\ChangedAccounts;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Whatever a request changed of accounts is computed before its answer goes out. */
final readonly class SettlesChanges
{
    public function __construct(private ChangedAccounts $changed)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $this->changed->begin();
        $response = $next($request);
        $this->changed->settle();

        return $response;
    }
}
