<?php

declare(strict_types=1);

namespace Luftig\Core\Geo;

use Luftig\Core\Mistake;

/** A point on the Earth in degrees, WGS 84. */
final readonly class Coordinates
{
    /** Mean Earth radius R₁ in km (IUGG). */
    public const EARTH_RADIUS = 6371.0088;

    public function __construct(public float $latitude, public float $longitude)
    {
        if (! (abs($latitude) <= 90 && abs($longitude) <= 180)) {
            throw new Mistake('A latitude lies between -90 and 90, a longitude between -180 and 180.');
        }
    }

    /** Great-circle distance in km, by the haversine formula. */
    public function distanceTo(self $other): float
    {
        $lat = deg2rad($other->latitude - $this->latitude) / 2;
        $lon = deg2rad($other->longitude - $this->longitude) / 2;
        $h = sin($lat) ** 2 + cos(deg2rad($this->latitude)) * cos(deg2rad($other->latitude)) * sin($lon) ** 2;

        return 2 * self::EARTH_RADIUS * asin(min(1.0, sqrt($h)));
    }
}
