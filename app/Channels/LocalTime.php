<?php

declare(strict_types=1);

namespace App\Channels;

use DateTimeZone;

/** Which time zone a place has. */
final class LocalTime
{
    /**
     * Of a country with several, the one whose own city is nearest; without coordinates nobody can say.
     *
     * @param  string|null  $country  two letters
     */
    public static function zone(?string $country, ?float $latitude = null, ?float $longitude = null): ?string
    {
        if ($country === null || preg_match('/^[A-Z]{2}$/', $country) !== 1) {
            return null;
        }
        $zones = DateTimeZone::listIdentifiers(DateTimeZone::PER_COUNTRY, $country);
        if (count($zones) > 1 && ! self::areAlike($zones)) {
            return $latitude === null || $longitude === null ? null : self::nearest($zones, $latitude, $longitude);
        }

        return $zones[0] ?? null;
    }

    /** @param  list<string>  $zones  Germany has two, of one time */
    private static function areAlike(array $zones): bool
    {
        $now = now();

        return count(array_unique(array_map(
            fn (string $zone): int => (new DateTimeZone($zone))->getOffset($now), $zones,
        ))) === 1;
    }

    /** @param  list<string>  $zones */
    private static function nearest(array $zones, float $latitude, float $longitude): string
    {
        $nearest = $zones[0];
        $least = INF;
        foreach ($zones as $zone) {
            $at = (new DateTimeZone($zone))->getLocation();
            if ($at === false) {
                continue;
            }
            // Zones part the world by longitude; a degree of it is shorter away from the equator.
            $distance = hypot(
                $at['latitude'] - $latitude, ($at['longitude'] - $longitude) * cos(deg2rad($latitude)),
            );
            if ($distance < $least) {
                [$nearest, $least] = [$zone, $distance];
            }
        }

        return $nearest;
    }
}
