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

    /** Brings the cities, and the other names by which large ones go: Wien stands as Vienna in the list. */
    public static function load(): void
    {
        if (! City::query()->exists()) {
            DB::transaction(function (): void {
                foreach (array_chunk(self::lines('cities.tsv.gz'), 1000) as $cities) {
                    self::insert($cities);
                }
            });
        }
        self::loadLocalNames();
    }

    private static function loadLocalNames(): void
    {
        $named = [];
        foreach (self::lines('local-names.tsv') as [$country, $name, $local]) {
            $city = City::query()->where('folded', self::fold($name))->where('country', $country)
                ->orderByDesc('population')->first();
            // A village may share its name with a city, never its people.
            if ($city !== null && City::query()->where('folded', self::fold($local))->where('country', $country)
                ->where('population', $city->population)->doesntExist()) {
                $named[] = [
                    $local, $country, (string) $city->region, $city->latitude, $city->longitude, $city->population,
                ];
            }
        }
        self::insert($named);
    }

    /** @return list<list<string>> */
    private static function lines(string $file): array
    {
        $lines = gzfile(database_path("gazetteer/$file")) ?: [];

        return array_map(static fn (string $line): array => explode("\t", rtrim($line, "\n")), $lines);
    }

    /** @param  list<list<float|int|string>>  $cities */
    private static function insert(array $cities): void
    {
        Bulk::insert(
            'cities',
            ['name', 'folded', 'country', 'region', 'latitude', 'longitude', 'population'],
            array_map(static fn (array $city): array => [
                mb_substr((string) $city[0], 0, 100), mb_substr(self::fold((string) $city[0]), 0, 100), $city[1],
                $city[2] === '' ? null : $city[2], (float) $city[3], (float) $city[4], (int) $city[5],
            ], $cities),
        );
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
