<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/** How often a watch runs. */
enum Rhythm: string
{
    case Daily = 'daily';
    case Weekly = 'weekly';
    case Monthly = 'monthly';

    /**
     * The next time after a moment, at an hour of the watcher's own clock; weekly on a weekday (1 is Monday), monthly
     * on the first.
     */
    public function after(CarbonImmutable $moment, int $hour, string $zone, int $weekday = 1): CarbonImmutable
    {
        $local = $moment->setTimezone($zone);
        $next = match ($this) {
            self::Daily => $local,
            self::Weekly => $local->startOfWeek(CarbonImmutable::MONDAY)->addDays($weekday - 1),
            self::Monthly => $local->startOfMonth(),
        };
        $next = $next->setTime($hour, 0);
        while ($next <= $local) {
            $next = match ($this) {
                self::Daily => $next->addDay(),
                self::Weekly => $next->addWeek(),
                self::Monthly => $next->addMonth(),
            };
        }

        return $next->utc();
    }
}
