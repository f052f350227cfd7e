<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Offer;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/** The offer that somebody works for, and those there are. */
final class ShareOffer
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->user() !== null) {
            $offers = Offer::query()->with('rules')->orderBy('id')->get();
            $offer = $offers->firstWhere('id', $request->session()->get('offer')) ?? $offers->first();
            if ($offer !== null) {
                app()->instance(Offer::class, $offer);
            }
            View::share(['offers' => $offers, 'offer' => $offer]);
        }

        return $next($request);
    }
}
