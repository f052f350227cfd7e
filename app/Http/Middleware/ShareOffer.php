<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Watch;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Session;
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
            $own = self::offerOfRecord($request);
            if ($own !== null && $own !== $offer?->id) {
                $offer = $offers->firstWhere('id', $own);
                $request->session()->put('offer', $own);
                Session::now('said', "You work for {$offer?->name} now, for which this was made.");
            }
            if ($offer !== null) {
                app()->instance(Offer::class, $offer);
            }
            View::share(['offers' => $offers, 'offer' => $offer]);
        }

        return $next($request);
    }

    /** Lists and watches mean what they mean for one offer; whoever opens one looks through its eyes. */
    private static function offerOfRecord(Request $request): ?int
    {
        foreach (['list', 'watch'] as $name) {
            $record = $request->route($name);
            if ($record instanceof KeptList || $record instanceof Watch) {
                return $record->offer_id;
            }
        }

        return null;
    }
}
