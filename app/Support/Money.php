<?php

declare(strict_types=1);

namespace App\Support;

/** Amounts in EUR at the stated rates (config/luftig.php). */
final class Money
{
    /** Null where no rate is stated for the currency. */
    public static function inEur(float $amount, string $currency): ?float
    {
        $rate = config('luftig.rates.per_eur')[$currency] ?? null;

        return $rate === null ? null : $amount / $rate;
    }
}
