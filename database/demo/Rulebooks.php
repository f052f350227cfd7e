<?php

declare(strict_types=1);

namespace Database\Demo;

/** What the two offers of Blåsvik Metering look for (the criteria as the core takes them). */
final class Rulebooks
{
    private const COUNTRIES = ['SE', 'DK', 'NO', 'FI', 'DE', 'NL', 'PL', 'CZ', 'EE', 'LV', 'LT'];

    /**
     * @return array<string, array{question: string, about: string, criteria: list<array<string, mixed>>,
     *     kinds: array<string, array<string, mixed>>, buyer_roles: list<array<string, mixed>>,
     *     roles_of_interest: list<array<string, mixed>>, technologies: array<string, list<string>>,
     *     topics: list<array<string, string>>, angles?: list<array<string, mixed>>}>
     */
    public static function all(): array
    {
        return [
            'Leak survey' => [
                'question' => 'How do you know what your air network loses?',
                'about' => 'Clamp-on meters, and a service that finds leaks in compressed-air networks',
                'criteria' => [
                    ['name' => 'Makes things', 'field' => 'industries', 'mode' => 'must', 'any' => ['C']],
                    ['name' => 'Where we go', 'field' => 'country', 'mode' => 'must', 'any' => self::COUNTRIES],
                    ['name' => 'Makes compressors', 'field' => 'industries', 'mode' => 'must_not', 'any' => ['2813']],
                    [
                        'name' => 'Uses much air', 'field' => 'industries', 'mode' => 'prefer', 'weight' => 3,
                        'any' => ['13', '16', '17', '21', '22', '23', '25', '26', '29'],
                    ],
                    [
                        'name' => 'Size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 3,
                        'range' => [40, 1500],
                    ],
                    [
                        'name' => 'Can afford it', 'field' => 'revenue', 'mode' => 'prefer', 'weight' => 2,
                        'range' => [8_000_000, null],
                    ],
                    [
                        'name' => 'More than one site', 'field' => 'sites', 'mode' => 'prefer', 'weight' => 1,
                        'range' => [2, null],
                    ],
                    ['name' => 'Grows', 'field' => 'growth', 'mode' => 'prefer', 'weight' => 1, 'range' => [.03, null]],
                    [
                        'name' => 'Runs in shifts, on air', 'field' => 'text', 'mode' => 'prefer', 'weight' => 2,
                        'query' => '"three shifts" OR "compressed air" OR "round the clock"',
                    ],
                ],
                'kinds' => ['leadership_change' => ['weight' => .15]],
                'buyer_roles' => [
                    [
                        'name' => 'Maintenance',
                        'functions' => ['maintenance'],
                        'neighbours' => ['operations', 'engineering'],
                        'include' => '"utilities" OR "compressed air" OR druckluft*',
                        'exclude' => 'software',
                        'weight' => 1,
                        'variants' => ['DE' => 'versorgungstechnik*', 'NL' => '"technische dienst"'],
                    ],
                    [
                        'name' => 'Energy', 'functions' => ['sustainability'],
                        'neighbours' => ['maintenance', 'operations'], 'exclude' => 'safety OR arbeitssicherheit',
                        'weight' => .9,
                    ],
                    [
                        'name' => 'Plant', 'functions' => ['operations'],
                        'neighbours' => ['maintenance', 'engineering', 'supply_chain'], 'weight' => .8,
                    ],
                ],
                'angles' => json_decode((string) file_get_contents(__DIR__.'/angles-leak-survey.json'), true),
                // Plans come from a maintenance system; a logger is what a survey makes needless.
                'technologies' => ['completes' => Words::SYSTEMS, 'replaces' => Words::LOGGERS],
                'topics' => [
                    ['name' => 'Power prices', 'query' => 'power price* OR electricity price*'],
                    ['name' => 'Leak surveys', 'query' => 'leak* OR "compressed air"'],
                    ['name' => 'Energy audits', 'query' => 'audit*'],
                ],
                'roles_of_interest' => [
                    [
                        'name' => 'Maintenance planner',
                        'title_query' => '(maintenance planner) OR (maintenance planners)',
                        'text_query' => '"compressed air" OR steam',
                        'functions' => ['maintenance'],
                    ],
                    [
                        'name' => 'Energy manager', 'title_query' => 'energy', 'text_query' => 'audit',
                        'functions' => ['sustainability'],
                    ],
                    ['name' => 'Utilities engineer', 'title_query' => 'utilities', 'functions' => ['maintenance']],
                    ['name' => 'Plant manager', 'title_query' => '"plant manager"', 'functions' => ['operations']],
                ],
            ],
            'Air purity' => [
                'question' => 'How do you prove the purity of your air today?',
                'about' => 'Proof of nitrogen and air purity for pharmaceutical and electronics plants',
                'criteria' => [
                    [
                        'name' => 'Pharmaceuticals or electronics', 'field' => 'industries', 'mode' => 'must',
                        'any' => ['21', '26'],
                    ],
                    ['name' => 'Where we go', 'field' => 'country', 'mode' => 'must', 'any' => self::COUNTRIES],
                    [
                        'name' => 'Size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 2,
                        'range' => [80, 3000],
                    ],
                    [
                        'name' => 'Clean rooms', 'field' => 'text', 'mode' => 'prefer', 'weight' => 3,
                        'query' => '"clean room" OR "clean dry air"',
                    ],
                    [
                        'name' => 'Near Gothenburg', 'field' => 'place', 'mode' => 'prefer', 'weight' => 1,
                        'within' => ['km' => 700, 'of' => [57.7089, 11.9746]],
                    ],
                ],
                'kinds' => ['tech_dropped' => ['counts' => 'ignored'], 'topic_interest' => ['weight' => .2]],
                'buyer_roles' => [
                    [
                        'name' => 'Quality', 'functions' => ['quality'], 'neighbours' => ['operations', 'research'],
                        'weight' => 1,
                    ],
                    [
                        'name' => 'Utilities', 'functions' => ['maintenance'], 'neighbours' => ['engineering'],
                        'weight' => .8,
                    ],
                ],
                'angles' => json_decode((string) file_get_contents(__DIR__.'/angles-air-purity.json'), true),
                'technologies' => ['completes' => ['Ordvika', 'Vedliko Plan']],
                'topics' => [['name' => 'Purity', 'query' => 'nitrogen OR purity OR clean room*']],
                'roles_of_interest' => [[
                    'name' => 'Quality engineer',
                    'title_query' => 'quality OR validation',
                    'functions' => ['quality'],
                ]],
            ],
        ];
    }
}
