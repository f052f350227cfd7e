<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\City;
use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Text\Fold;

/**
 * Which city a district lies in, told by its name: Berlin Köpenick, Hamburg-Nord, København S, Wien 10. Not Bergen op
 * Zoom, which goes on in a small letter, nor Essen (Oldenburg), and nothing that lies elsewhere.
 */
final class Districts
{
    /** People from which on a place has districts that are named after it. */
    private const LARGE = 100_000;

    /** Between a city and its districts, km. */
    private const WIDE = 25.0;

    /** What a name may be: the city, and the district in capitals or figures after it. */
    private const DISTRICT = '/(?<=[\p{L}\p{N}])(?:\s*[-–\/,]\s*|\s+)(?=[\p{Lu}\p{N}])/u';

    /** @var array<string, Coordinates>|null country and folded name → where the largest of that name is */
    private ?array $cities = null;

    /** @var array<string, string|null> */
    private array $known = [];

    /** @return string|null the city as the name itself writes it; null where it is none of a city's districts */
    public function cityOf(
        string $place,
        ?string $country,
        float|string|null $latitude,
        float|string|null $longitude,
    ): ?string {
        $key = "$country|$place|$latitude|$longitude";
        if (! array_key_exists($key, $this->known)) {
            $at = $latitude === null || $longitude === null
                ? null
                : new Coordinates((float) $latitude, (float) $longitude);
            $this->known[$key] = $country === null ? null : $this->find($place, $country, $at);
        }

        return $this->known[$key];
    }

    private function find(string $place, string $country, ?Coordinates $at): ?string
    {
        preg_match_all(self::DISTRICT, $place, $ends, PREG_OFFSET_CAPTURE);
        foreach (array_reverse(array_column($ends[0], 1)) as $end) {
            $city = substr($place, 0, $end);
            $there = $this->cities()[$country.'|'.implode(' ', Fold::words($city))] ?? null;
            if ($there !== null && ($at === null || $there->distanceTo($at) <= self::WIDE)) {
                return $city;
            }
        }

        return null;
    }

    /** @return array<string, Coordinates> */
    private function cities(): array
    {
        if ($this->cities === null) {
            $this->cities = [];
            foreach (
                City::query()->where('population', '>=', self::LARGE)->orderBy('population')->toBase()->get() as $city
            ) {
                $this->cities["{$city->country}|{$city->folded}"]
                    = new Coordinates((float) $city->latitude, (float) $city->longitude);
            }
        }

        return $this->cities;
    }
}
