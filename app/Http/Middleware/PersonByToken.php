<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Offer;
use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** The person for whom a program asks, as long as they sign in; and the offer it asks for, else the first. */
final class PersonByToken
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User || ! $user->signs_in) {
            throw new AuthenticationException;
        }
        $asked = $request->query('offer');
        $offer = Offer::query()->with('rules')->orderBy('id')
            ->when($asked !== null, fn ($query) => $query->whereKey(is_string($asked) ? $asked : 0))->first();
        if ($offer === null && $asked !== null) {
            throw new BadRequestHttpException('There is no such offer.');
        }
        if ($offer !== null) {
            app()->instance(Offer::class, $offer);
        }

        return $next($request);
    }
}
