<?php

declare(strict_types=1);

namespace App\Intake\Accounts;

/** Which of an account's places a row is about, when rows of several of its sites name one domain. */
final class Sites
{
    /**
     * The facts, with their place as one of the other sites where it is that. The headquarters move only by a row that
     * is the first of its file and of a town that is no site yet; parts of a place add to those known.
     *
     * @param  array<string, mixed>  $facts
     * @param  array<string, mixed>  $existing
     * @return array<string, mixed>
     */
    public static function apart(array $facts, array $existing, bool $isLater): array
    {
        $sites = $existing['other_places'] ?? [];
        if (isset($facts['other_places'])) {
            $facts['other_places'] = self::with($sites, $facts['other_places']);
        }
        if (! isset($facts['place'])) {
            return $facts;
        }
        $town = $facts['place']['city'] ?? null;
        $home = $existing['place'] ?? [];
        if ($town === null || $town === ($home['city'] ?? $town)) {
            $facts['place'] = Whereabouts::comparable($facts['place'] + $home);
        } elseif ($isLater || in_array($town, array_column($sites, 'city'), true)) {
            $facts['other_places'] = self::with($facts['other_places'] ?? $sites, [$facts['place']]);
            unset($facts['place']);
        }

        return $facts;
    }

    /**
     * @param  list<array<string, mixed>>  $sites
     * @param  list<array<string, mixed>>  $more
     * @return list<array<string, mixed>> with those that are in a town of their own
     */
    public static function with(array $sites, array $more): array
    {
        foreach ($more as $place) {
            $town = $place['city'] ?? null;
            $isThere = $town === null
                ? in_array($place, $sites, true)
                : in_array($town, array_column($sites, 'city'), true);
            if (! $isThere) {
                $sites[] = $place;
            }
        }

        return $sites;
    }
}
