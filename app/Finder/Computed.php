<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use Closure;
use Illuminate\Support\Facades\Cache;

/** What follows from facts and rules alone is computed once as long as neither changed, and anew each day. */
final class Computed
{
    private const SECONDS = 3600;

    /**
     * @template T of array
     *
     * @param  array<int|string>  $accounts  of whom it is computed, where it is not of all
     * @param  Closure(): T  $work
     * @return T
     */
    public static function of(string $what, Offer $offer, array $accounts, Closure $work): array
    {
        $of = implode('|', [
            $what, $offer->id, $offer->rules?->id, today()->toDateString(), Indexes::stamp($offer), ...$accounts,
        ]);

        return Cache::remember('computed|'.hash('xxh128', $of), self::SECONDS, $work);
    }
}
