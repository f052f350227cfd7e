<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Search;
use App\Models\City;
use App\Models\IntakeKind;
use App\Standings\Standings;
use App\Support\Districts;
use App\Support\Gazetteer;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A city counts with the districts that are named after it. */
final class DistrictsTest extends TestCase
{
    use HasCities;

    /** @return array<string, array{string, string|null, float|null, float|null, string|null}> */
    public static function places(): array
    {
        return [
            'a word after it' => ['Berlin Köpenick', 'DE', 52.4425, 13.5823, 'Berlin'],
            'a hyphen' => ['Hamburg-Nord', 'DE', 53.5894, 9.984, 'Hamburg'],
            'a hyphen with spaces' => ['Stuttgart - Vaihingen', 'DE', null, null, 'Stuttgart'],
            'a point of the compass' => ['København S', 'DK', null, null, 'København'],
            'the English name' => ['Copenhagen S', 'DK', null, null, 'Copenhagen'],
            'a figure' => ['Wien 10', 'AT', null, null, 'Wien'],
            'a figure after a comma' => ['Praha, 4', 'CZ', null, null, 'Praha'],
            'in small letters' => ['berlin Mitte', 'DE', null, null, 'berlin'],
            'a name that goes on' => ['Bergen op Zoom', 'NO', null, null, null],
            'a county in brackets' => ['Essen (Oldenburg)', 'DE', null, null, null],
            'the city itself' => ['Berlin', 'DE', 52.52, 13.41, null],
            'elsewhere' => ['Berlin Köpenick', 'DE', 48.1, 11.5, null],
            'another country' => ['Berlin Köpenick', 'AT', null, null, null],
            'no country known' => ['Berlin Köpenick', null, null, null, null],
            'a small town' => ['Hobro Vest', 'DK', null, null, null],
            'a word that begins so' => ['Wiener Neustadt', 'AT', 47.8, 16.23, null],
        ];
    }

    #[DataProvider('places')]
    public function test_a_district_is_told_by_its_name(
        string $place,
        ?string $country,
        ?float $latitude,
        ?float $longitude,
        ?string $city,
    ): void {
        self::assertSame($city, (new Districts)->cityOf($place, $country, $latitude, $longitude));
    }

    public function test_who_searches_for_the_city_finds_its_districts_and_not_the_other_way_round(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name;country;city\na.example;Asp;Denmark;København\n"
            ."b.example;Birk;Denmark;København S\nc.example;Cedar;Denmark;Odense\n");
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;city;country\n"
            ."c.example;Ida;Lie;København NV;Denmark\n");
        (new Standings)->all();
        $found = fn (string $field, string $city, string $on): int => count(
            Search::from($this->offer, ['on' => $on, 'c' => [['f' => $field, 'v' => $city]]])->ids(),
        );
        self::assertSame(2, $found('city', 'København', 'accounts'));
        self::assertSame(1, $found('city', 'København S', 'accounts'));
        self::assertSame(1, $found('own_city', 'københavn', 'contacts'));
    }

    public function test_a_city_is_found_by_its_local_name_and_named_once(): void
    {
        $places = new Gazetteer;
        self::assertSame($places->find('Vienna', 'AT'), $places->find('Wien', 'AT'));
        self::assertNotNull($places->find('Wien', 'AT'));
        $many = City::query()->count();
        Gazetteer::load();
        self::assertSame($many, City::query()->count());
    }
}
