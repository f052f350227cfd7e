<?php

declare(strict_types=1);

namespace App\Intake\Accounts;

use App\Support\Countries;
use App\Support\Gazetteer;

/** Puts places that a file names on the map, as far as they are known. */
final readonly class Whereabouts
{
    private const PARTS = ['city', 'region', 'postal_code', 'country', 'latitude', 'longitude'];

    public function __construct(private Gazetteer $gazetteer = new Gazetteer)
    {
    }

    /**
     * “Göteborg (Sweden)”, or a city alone: at home where there is one of its name, else the only one of its name.
     *
     * @return array<string, mixed>
     */
    public function site(string $text, ?string $home): array
    {
        if (preg_match('/^(.+?)\s*\(([^()]+)\)$/u', $text, $parts) === 1 && Countries::code($parts[2]) !== null) {
            return $this->located(['city' => mb_substr($parts[1], 0, 100), 'country' => Countries::code($parts[2])]);
        }
        $city = mb_substr($text, 0, 100);
        $country = $home !== null && $this->gazetteer->find($city, $home) !== null
            ? $home
            : $this->gazetteer->find($city, null)[3] ?? null;

        return $this->located(['city' => $city] + ($country === null ? [] : ['country' => $country]));
    }

    /**
     * @param  array<string, mixed>  $place
     * @return array<string, mixed>
     */
    public function located(array $place): array
    {
        if (! isset($place['latitude'], $place['longitude'])) {
            unset($place['latitude'], $place['longitude']);
            $found = isset($place['city']) ? $this->gazetteer->find($place['city'], $place['country'] ?? null) : null;
            if ($found !== null) {
                $place['latitude'] = $found[0];
                $place['longitude'] = $found[1];
                $place['region'] ??= $found[2];
            }
        }

        return self::comparable($place);
    }

    /**
     * What is known of a place, in the order and precision in which places are compared.
     *
     * @param  array<string, mixed>  $place
     * @return array<string, mixed>
     */
    public static function comparable(array $place): array
    {
        $out = [];
        foreach (self::PARTS as $field) {
            if (($place[$field] ?? null) !== null) {
                $out[$field] = is_float($place[$field]) ? round($place[$field], 6) : $place[$field];
            }
        }

        return $out;
    }
}
