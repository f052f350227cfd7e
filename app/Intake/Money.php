<?php

declare(strict_types=1);

namespace App\Intake;

/** Amounts in EUR at the stated rates (config/luftig.php). */
final class Money
{
    public static function inEur(float $amount, string $currency): float
    {
        $rate = config('luftig.rates.per_eur')[$currency] ?? throw new RejectedRow("No rate is stated for the currency “{$currency}”.");

        return $amount / $rate;
    }
}
