<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\City;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Text\Fold;

/** Where cities are; of several of one name in a country the largest is meant. */
final class Gazetteer
{
    /** @var array<string, array{float, float, string|null, string}|null> */
    private array $known = [];

    public static function load(): void
    {
        if (City::query()->exists()) {
            return;
        }
        $file = gzopen(database_path('gazetteer/cities.tsv.gz'), 'rb');
        $rows = [];
        $columns = ['name', 'folded', 'country', 'region', 'latitude', 'longitude', 'population'];
        DB::transaction(function () use ($file, &$rows, $columns): void {
            while ($file !== false && ($line = gzgets($file)) !== false) {
                [$name, $country, $region, $latitude, $longitude, $population] = explode("\t", rtrim($line, "\n"));
                $rows[] = [
                    mb_substr($name, 0, 100), mb_substr(self::fold($name), 0, 100), $country,
                    $region === '' ? null : $region, (float) $latitude, (float) $longitude, (int) $population,
                ];
                if (count($rows) === 1000) {
                    Bulk::insert('cities', $columns, $rows);
                    $rows = [];
                }
            }
            Bulk::insert('cities', $columns, $rows);
        });
    }

    /** @return array{float, float, string|null, string}|null latitude, longitude, region, country */
    public function find(string $city, ?string $country): ?array
    {
        $key = $city.'|'.$country;
        if (! array_key_exists($key, $this->known)) {
            $found = City::query()->where('folded', self::fold($city))
                ->when($country !== null, fn ($query) => $query->where('country', $country))
                ->orderByDesc('population')->limit($country === null ? 2 : 1)->get();
            // Without a country a name that stands for two places says nothing.
            $city = $found->count() === 1 ? $found->first() : null;
            $this->known[$key] = $city === null
                ? null
                : [(float) $city->latitude, (float) $city->longitude, $city->region, $city->country];
        }

        return $this->known[$key];
    }

    /**
     * Places that begin so, the largest first, each named so that it is told apart from others of its name.
     *
     * @return array<string, string> name to search by → name with its size
     */
    public static function suggest(string $begin, int $most = 8): array
    {
        $folded = self::fold($begin);
        if ($folded === '') {
            return [];
        }
        $cities = City::query()->where('folded', 'like', $folded.'%')->orderByDesc('population')->limit($most)->get();
        $namesakes = City::query()->whereIn('folded', $cities->pluck('folded'))->get(['folded', 'country'])
            ->countBy(fn (City $city): string => $city->folded.'|'.$city->country);
        $suggested = [];
        foreach ($cities as $city) {
            $twice = $namesakes[$city->folded.'|'.$city->country] > 1;
            $name = implode(', ', array_filter(
                [$city->name, $twice ? $city->region : null, Countries::name($city->country)],
            ));
            $suggested[$name] ??= number_format($city->population).' people'
                .($city->region === null || $twice ? '' : ', '.$city->region);
        }

        return $suggested;
    }

    /**
     * The places that a name stands for: a city, perhaps with its region, perhaps with its country.
     *
     * @return list<City> the largest first
     */
    public static function named(string $text): array
    {
        $parts = array_map(trim(...), explode(',', $text));
        $country = count($parts) > 1 ? Countries::code($parts[count($parts) - 1]) : null;
        if ($country !== null) {
            array_pop($parts);
        }
        $found = City::query()->where('folded', self::fold((string) array_shift($parts)))
            ->when($country !== null, fn ($query) => $query->where('country', $country))
            ->when($parts !== [], fn ($query) => $query->where('region', implode(', ', $parts)))
            ->orderByDesc('population')->get();

        return array_values($found->all());
    }

    private static function fold(string $name): string
    {
        return implode(' ', Fold::words($name));
    }
}
