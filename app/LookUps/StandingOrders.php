<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Models\Contact;
use App\Models\LookUpRun;
use App\Models\Standing;
use App\Models\StandingOrder;
use Luftig\Core\Priority\LookUp;

/** Begins what standing orders buy: each night the look-ups that pay, for what is left of the month's credits. */
final class StandingOrders
{
    /** @return list<LookUpRun> that were begun */
    public static function due(): array
    {
        $runs = [];
        foreach (StandingOrder::query()->with('user', 'offer.rules')->orderBy('id')->get() as $order) {
            $isBusy = $order->runs()->whereIn('state', [LookUpRun::QUEUED, LookUpRun::RUNNING])->exists();
            if ($order->user->signs_in && ! $isBusy) {
                $runs[] = self::begin($order);
            }
        }

        return array_values(array_filter($runs));
    }

    private static function begin(StandingOrder $order): ?LookUpRun
    {
        $left = min($order->credits - $order->spent(), Spending::leftTo($order->user));
        $contacts = array_values(array_map(
            fn (array $one): Contact => $one['contact'],
            array_filter(
                Gains::for($order->offer, $order->user, $left)->proposed,
                fn (array $one): bool => self::isWorth($order, $one['standing'], $one['line']),
            ),
        ));
        // Whom one would ask for may be kept out, or in no part of buying.
        $wanted = Wanted::of($order->offer, array_map(fn (Contact $one): int => $one->id, $contacts))->contacts;

        return $wanted === [] ? null : BeginRun::of(
            $order->offer, $order->user, 'Standing order', null, $wanted, $left, $order->accepts_doubtful, $order,
        );
    }

    /** Where one has said from which priority on, whichever it is, now or with what is found. */
    private static function isWorth(StandingOrder $order, Standing $standing, LookUp $line): bool
    {
        return $order->least === null || max((float) $standing->priority, $line->with) >= $order->least;
    }
}
