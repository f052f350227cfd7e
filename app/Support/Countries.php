<?php

declare(strict_types=1);

namespace App\Support;

use Locale;
use Luftig\Core\Text\Fold;
use ResourceBundle;

/** Names of countries in the languages of our files. */
final class Countries
{
    private const LANGUAGES = ['en', 'de', 'sv', 'da', 'nb', 'nl', 'pl', 'fi', 'fr', 'cs', 'et', 'lv', 'lt'];

    /** Names beside the official ones. */
    private const OTHERS = [
        'uk' => 'GB', 'england' => 'GB', 'scotland' => 'GB', 'wales' => 'GB', 'northern ireland' => 'GB',
        'great britain' => 'GB', 'usa' => 'US', 'holland' => 'NL', 'brd' => 'DE', 'the netherlands' => 'NL',
        'czech republic' => 'CZ', 'tschechische republik' => 'CZ',
    ];

    /** Letters of cars, where they are not those of another country. */
    private const CARS = [
        'd' => 'DE', 'a' => 'AT', 's' => 'SE', 'n' => 'NO', 'f' => 'FR', 'i' => 'IT', 'b' => 'BE', 'l' => 'LU',
        'e' => 'ES', 'p' => 'PT', 'h' => 'HU', 'fin' => 'FI', 'est' => 'EE', 'irl' => 'IE', 'slo' => 'SI',
    ];

    /** Countries that are named together. */
    private const GROUPS = [
        'Nordics' => ['DK', 'FI', 'IS', 'NO', 'SE'], 'Scandinavia' => ['DK', 'NO', 'SE'],
        'Baltics' => ['EE', 'LT', 'LV'], 'Benelux' => ['BE', 'LU', 'NL'], 'DACH' => ['AT', 'CH', 'DE'],
        'Iberia' => ['ES', 'PT'], 'British Isles' => ['GB', 'IE'], 'Visegrad' => ['CZ', 'HU', 'PL', 'SK'],
        'European Union' => [
            'AT', 'BE', 'BG', 'CY', 'CZ', 'DE', 'DK', 'EE', 'ES', 'FI', 'FR', 'GR', 'HR', 'HU', 'IE', 'IT', 'LT', 'LU',
            'LV', 'MT', 'NL', 'PL', 'PT', 'RO', 'SE', 'SI', 'SK',
        ],
    ];

    private const GROUPS_TOO = [
        'norden' => 'Nordics', 'nordic' => 'Nordics', 'nordic countries' => 'Nordics', 'skandinavien' => 'Scandinavia',
        'baltic states' => 'Baltics', 'baltikum' => 'Baltics', 'd a ch' => 'DACH', 'eu' => 'European Union',
    ];

    /** @var array<string, string>|null */
    private static ?array $codes = null;

    /** ISO 3166-1 alpha-2, or null. */
    public static function code(string $name): ?string
    {
        static $known = [];
        $codes = self::$codes ??= self::read();

        return $known[$name] ??= $codes[Fold::letters(trim($name))] ?? null;
    }

    public static function name(?string $code): string
    {
        return $code === null ? '' : (string) Locale::getDisplayRegion('-'.$code, 'en');
    }

    /** @return array<string, list<string>> name of several countries → their codes */
    public static function groups(): array
    {
        return self::GROUPS;
    }

    /** @return list<string>|null codes of a group by its name */
    public static function group(string $name): ?array
    {
        $words = implode(' ', Fold::words($name));
        foreach (self::GROUPS as $group => $codes) {
            if ($words === strtolower($group) || (self::GROUPS_TOO[$words] ?? '') === $group) {
                return $codes;
            }
        }

        return null;
    }

    /** @return array<string, string> code → English name */
    public static function all(): array
    {
        $names = [];
        foreach (ResourceBundle::create('en', 'ICUDATA-region')?->get('Countries') ?? [] as $code => $name) {
            if (preg_match('/^[A-Z]{2}$/', (string) $code) === 1) {
                $names[(string) $code] = (string) $name;
            }
        }

        return $names;
    }

    /** @return array<string, string> */
    private static function read(): array
    {
        $codes = self::OTHERS;
        foreach (self::LANGUAGES as $language) {
            foreach (ResourceBundle::create($language, 'ICUDATA-region')?->get('Countries') ?? [] as $code => $name) {
                if (preg_match('/^[A-Z]{2}$/', (string) $code) === 1) {
                    $codes[Fold::letters((string) $name)] ??= (string) $code;
                    $codes[strtolower((string) $code)] ??= (string) $code;
                }
            }
        }

        return $codes + self::CARS;
    }
}
