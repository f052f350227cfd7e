<?php

declare(strict_types=1);

namespace Database\Demo;

/** A few accounts that a newcomer can follow from the first signal to the reason. */
final class Stories
{
    /** @return list<array<string, mixed>> */
    public static function accounts(): array
    {
        $make = fn (
            string $name,
            string $domain,
            string $country,
            string $land,
            string $city,
            string $industry,
            int $heads,
            string $growth,
            int $sites,
            string $tech,
            string $keywords,
            string $description,
        ): array => [
            'name' => $name, 'domain' => $domain, 'industry' => $industry, 'headcount' => (string) $heads,
            'growth' => $growth, 'revenue' => 'EUR '.round($heads * .19, 1).' Mio', 'country' => $land, 'city' => $city,
            'sites' => (string) $sites, 'technologies' => $tech, 'keywords' => $keywords, 'description' => $description,
            'status' => '',
            'truth' => [
                'country' => $country, 'domain' => $domain, 'heads' => $heads, 'growth' => (float) $growth / 100,
                'maker' => true, 'story' => true,
            ],
        ];

        return [
            $make(
                'Glasverk Tunhede',
                'tunhede.example',
                'DK',
                'Denmark',
                'Hobro',
                'glass',
                420,
                '11 %',
                3,
                'Vedliko Plan; Tryklog',
                'container glass; three shifts; compressed air',
                'Makes container glass on three lines in Hobro; a fourth is being built.',
            ),
            $make(
                'Ostholz Platten',
                'ostholz-platten.example',
                'DE',
                'Germany',
                'Wismar',
                'wood panels',
                610,
                '18 %',
                4,
                'Luftmåler 2',
                'three shifts; compressed air; chipboard',
                'Chipboard and panels from four plants on the Baltic coast. Energy is a large part of cost.',
            ),
            $make(
                'Baltvek Farma',
                'baltvek-farma.example',
                'PL',
                'Poland',
                'Łódź',
                'pharmaceuticals',
                380,
                '6 %',
                2,
                'Ordvika',
                'clean room; clean dry air; three shifts',
                'Tablets and sterile filling in two plants.',
            ),
            $make(
                'De Vlakke Folie',
                'vlakke-folie.example',
                'NL',
                'Netherlands',
                'Emmen',
                'plastics',
                190,
                '4 %',
                2,
                '',
                'blow moulding; three shifts; extrusion',
                'Blown film for packaging, day and night.',
            ),
            $make(
                'Plaströr Undvik',
                'plastror-undvik.example',
                'SE',
                'Sweden',
                'Falkenberg',
                'plastics',
                140,
                '9 %',
                2,
                'Skiftara',
                'extrusion; three shifts; compressed air',
                'Extrudes pipe for water and cable.',
            ),
            $make(
                'Zielorzyce Farma',
                'zielorzyce-farma.example',
                'PL',
                'Poland',
                'Kielce',
                'pharmaceuticals',
                290,
                '3 %',
                2,
                'Ordvika',
                'clean room; three shifts',
                'Tablets for hospitals.',
            ),
            $make(
                'Papir Sverkhult',
                'sverkhult.example',
                'NO',
                'Norway',
                'Halden',
                'paper',
                520,
                '-2 %',
                2,
                'Vedliko Plan',
                'recycled fibre; own power station; three shifts',
                'Recycled board on two machines.',
            ),
        ];
    }

    /**
     * @return list<array<string, string>> what a fair's list has of companies that are there already, under other
     *     domains
     */
    public static function fair(): array
    {
        return [
            [
                'domain' => 'ostholz.example', 'name' => 'Ostholz Platten GmbH', 'country' => 'Germany',
                'city' => 'Wismar', 'headcount' => 'ca. 600',
            ],
            [
                'domain' => 'vlakkefolie.example', 'name' => 'De Vlakke Folie B.V.', 'country' => 'Netherlands',
                'city' => 'Emmen', 'headcount' => '',
            ],
            [
                'domain' => 'sverkhult-papir.example', 'name' => 'Papir Sverkhult AS', 'country' => 'Norway',
                'city' => 'Sarpsborg', 'headcount' => '80',
            ],
        ];
    }

    /** @return list<array<string, string>> and of people, with other addresses */
    public static function visitors(): array
    {
        return [
            [
                'domain' => 'ostholz-platten.example', 'first name' => 'Maren', 'last name' => 'Uhlbrock',
                'title' => 'CEO', 'email' => 'm.uhlbrock@ostholz-platten.example',
            ],
            [
                'domain' => 'tunhede.example', 'first name' => 'Olav', 'last name' => 'Brekkesund',
                'title' => 'Energy and Utilities Manager', 'email' => 'obr@tunhede.example',
            ],
        ];
    }

    /** @return list<array<string, mixed>> days ago → dated when written */
    public static function people(): array
    {
        $make = fn (
            string $domain, string $first, string $last, string $title, int $days, string $state, array $more = [],
        ): array => [
            'domain' => $domain, 'first_name' => $first, 'last_name' => $last, 'title' => $title,
            'in position days' => $days,
            'email' => mb_strtolower($first).'.'.strtr(mb_strtolower($last), ['-' => '', ' ' => '', 'ł' => 'l']).'@'
                .$domain,
            'email state' => $state,
        ] + $more;

        return [
            $make(
                'tunhede.example',
                'Pernille',
                'Askov-Rye',
                'Head of Maintenance',
                20,
                'valid',
                ['earlier positions' => 'Maintenance Lead, Fjernlund Papir, 2019–2026', 'follows' => ['new_leader']],
            ),
            $make('tunhede.example', 'Jannik', 'Hvolby-Friis', 'Chief Operating Officer', 1900, 'valid'),
            $make('tunhede.example', 'Olav', 'Brekkesund', 'Energy Manager', 800, 'catch_all', ['active days' => 0]),
            $make('tunhede.example', 'Henrik', 'Barsmark', 'Plant Manager', 2400, 'invalid', ['active days' => 4]),
            $make(
                'ostholz-platten.example',
                'Maren',
                'Uhlbrock',
                'Managing Director',
                3100,
                'catch_all',
                ['phone' => '+49 30 23125 014'],
            ),
            $make('ostholz-platten.example', 'Lena', 'Quastrow', 'Instandhaltungsleiterin', 330, 'unknown'),
            $make(
                'baltvek-farma.example',
                'Agata',
                'Wronska-Dal',
                'Utilities Engineer',
                35,
                'valid',
                [
                    'earlier positions' => 'Utilities Engineer, zielorzyce-farma.example, 2020–2026',
                    'active days' => 6,
                    'follows' => ['new_leader', 'customer_alum'],
                ],
            ),
            $make('vlakke-folie.example', 'Ruben', 'van Aalsterveen', 'Maintenance Lead', 210, 'valid'),
            $make(
                'plastror-undvik.example',
                'Sixten',
                'Morvall',
                'Maintenance Planner',
                500,
                'guess',
                ['active days' => 0],
            ),
            $make('sverkhult.example', 'Ida', 'Sandmo-Lie', 'COO', 120, 'valid'),
        ];
    }

    /** @return list<array<string, mixed>> with hours or days ago instead of dates */
    public static function happenings(): array
    {
        $make = fn (
            string $domain,
            string $kind,
            float $days,
            string $title,
            string $source,
            string $quote = '',
            array $more = [],
        ): array => [
            'domain' => $domain, 'kind' => $kind, 'days' => $days, 'title' => $title, 'source' => $source,
            'quote' => $quote,
        ] + $more;

        return [
            $make(
                'tunhede.example',
                'funding',
                6,
                'Round B, €12M, for a fourth line',
                'press',
                'The round pays for a fourth line, which starts in spring.',
                ['round' => 'B', 'amount' => '12 Mio', 'link' => 'https://press.example/tunhede-fourth-line'],
            ),
            $make(
                'tunhede.example',
                'hiring',
                3,
                'Two maintenance planners sought, Hobro',
                'postings',
                'You know compressed air and vacuum, and plan for line 4.',
                ['openings' => '2', 'confidence' => '.9', 'link' => 'https://tunhede.example/jobs/4'],
            ),
            $make(
                'tunhede.example',
                'hiring',
                40,
                'Utilities engineer sought, Hobro',
                'postings',
                'Steam, water and compressed air.',
                ['openings' => '1', 'confidence' => '.9'],
            ),
            $make(
                'tunhede.example',
                'post_engagement',
                60,
                'Olav Brekkesund commented on a post about power prices',
                'posts',
                'Our air costs more than our light.',
                ['deed' => 'commented', 'confidence' => '.9', 'person' => 'olav.brekkesund@tunhede.example'],
            ),
            $make(
                'ostholz-platten.example',
                'expansion',
                16,
                'Fourth plant opened in Wismar',
                'press',
                'The plant was opened on Monday; 90 people work there.',
                ['confidence' => '.9', 'link' => 'https://press.example/ostholz-wismar'],
            ),
            $make(
                'ostholz-platten.example',
                'growth',
                45,
                'Headcount up 18 % in 90 days',
                'headcounts',
                '',
                ['before' => '517', 'after' => '610', 'confidence' => '.9'],
            ),
            $make(
                'ostholz-platten.example',
                'news',
                18,
                'Named in a report on energy audits in the wood industry',
                'press',
                '',
                ['confidence' => '.9'],
            ),
            $make(
                'baltvek-farma.example',
                'hiring_freeze',
                12,
                'No new positions until April',
                'press',
                'Management has stopped hiring until the second quarter.',
                ['confidence' => '.9'],
            ),
            $make(
                'baltvek-farma.example',
                'tech_adopted',
                25,
                'Ordvika adopted for maintenance',
                'postings',
                'We have just moved to Ordvika.',
                ['confidence' => '.9', 'technology' => 'Ordvika'],
            ),
            $make(
                'vlakke-folie.example',
                'tech_dropped',
                41,
                'Pneuskrift no longer on their pages',
                'pages',
                '',
                ['confidence' => '.9', 'technology' => 'Pneuskrift'],
            ),
            $make(
                'vlakke-folie.example',
                'hiring',
                9,
                'Maintenance planner sought, Emmen',
                'postings',
                'You look after our lines and their air.',
                ['openings' => '1', 'confidence' => '.9'],
            ),
            $make(
                'plastror-undvik.example',
                'post_engagement',
                .13,
                'Sixten Morvall asked under a post how others find leaks',
                'posts',
                'How do you others find the leaks before the bill does?',
                ['deed' => 'commented', 'confidence' => '.9', 'person' => 'sixten.morvall@plastror-undvik.example'],
            ),
            $make(
                'sverkhult.example',
                'hiring',
                33,
                'Energy manager sought, Halden',
                'postings',
                'The audit in spring is your first task.',
                ['openings' => '1', 'confidence' => '.9'],
            ),
            $make(
                'sverkhult.example',
                'decline',
                50,
                'Headcount down 4 % in 90 days',
                'headcounts',
                '',
                ['before' => '541', 'after' => '520', 'confidence' => '.9'],
            ),
            $make(
                'sverkhult.example',
                'expansion',
                -9,
                'Second board machine starts up',
                'press',
                '',
                ['confidence' => '.9'],
            ),
        ];
    }
}
