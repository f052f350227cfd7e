<?php

// Whom a team may serve, by the trade of those it serves: what they are, who takes part in buying, which openings speak
// for them, and which kinds count otherwise than the catalogue has it. Begun with, and edited under Rules.
$role = static fn (
    string $name,
    array $functions,
    array $neighbours = [],
    float $weight = 1.0,
    string $include = '',
): array => [
    'name' => $name, 'functions' => $functions, 'neighbours' => $neighbours, 'weight' => $weight, 'include' => $include,
    'exclude' => '', 'variants' => [],
];
$head = $role('Whoever runs it', ['general_management'], ['operations', 'finance'], 1.0);
$opening = static fn (string $name, string $query, array $functions): array => [
    'name' => $name, 'title_query' => $query, 'text_query' => '', 'functions' => $functions,
];

return [
    'factories' => [
        'label' => 'factories and workshops', 'industries' => ['C'], 'headcount' => [40, 1500],
        'roles' => [
            $role('Plant and production', ['operations'], ['engineering', 'maintenance']),
            $role('Maintenance', ['maintenance'], ['operations', 'engineering'], .9),
            $role('Engineering', ['engineering'], ['operations', 'quality'], .8), $head,
        ],
        'kinds' => [],
        'interests' => [
            $opening(
                'Plant manager',
                '"plant manager" OR "production manager" OR produktionsleiter OR werkleiter',
                ['operations'],
            ),
            $opening(
                'Maintenance',
                'maintenance OR instandhaltung OR underhåll OR onderhoud OR utrzymanie',
                ['maintenance'],
            ),
        ],
    ],
    'practices' => [
        'label' => 'medical and dental practices', 'industries' => ['8620', '8690'], 'headcount' => [8, 80],
        'roles' => [
            $head, $role('Clinical lead', ['clinical'], ['quality'], .8),
            $role('Practice management', ['administration', 'operations'], ['finance'], .9),
        ],
        'kinds' => ['funding' => ['counts' => 'ignored']],
        'interests' => [
            $opening(
                'Assistants',
                'ZFA OR ZMF OR ZMP OR assistent* OR assistant* OR nurse OR sjuksköterska',
                ['clinical'],
            ),
            $opening(
                'Practice management',
                'praxismanager* OR "practice manager" OR praktijkmanager',
                ['administration'],
            ),
        ],
    ],
    'hospitals' => [
        'label' => 'hospitals and care homes', 'industries' => ['8610', '87'], 'headcount' => [80, null],
        'roles' => [
            $head, $role('Clinical lead', ['clinical'], ['quality']),
            $role('Facilities and procurement', ['procurement', 'maintenance'], ['finance'], .8),
        ],
        'kinds' => [],
        'interests' => [$opening('Nursing', 'nurse OR pflege* OR sjuksköterska OR verpleegkundige', ['clinical'])],
    ],
    'haulage' => [
        'label' => 'hauliers, forwarders and warehouses', 'industries' => ['49', '50', '51', '52'],
        'headcount' => [15, 400],
        'roles' => [
            $head, $role('Operations', ['operations'], ['supply_chain']),
            $role('Planning and warehouse', ['supply_chain'], ['operations'], .9),
        ],
        'kinds' => ['funding' => ['counts' => 'ignored']],
        'interests' => [
            $opening('Planners', 'planner* OR planning OR disponent* OR dispatcher', ['supply_chain']),
            $opening('Warehouse and site', 'warehouse* OR magazijn* OR lager* OR vestigingsmanager', ['operations']),
        ],
    ],
    'software' => [
        'label' => 'software and web agencies', 'industries' => ['6201', '6202', '6209', '63', '7410', '7310'],
        'headcount' => [8, 250],
        'roles' => [
            $head, $role('Delivery', ['delivery', 'operations'], ['engineering']),
            $role('Engineering', ['engineering', 'it'], ['product'], .9),
            $role('Quality', ['quality'], ['engineering', 'product'], .8),
        ],
        'kinds' => ['tech_adopted' => ['counts' => 'ignored'], 'tech_dropped' => ['counts' => 'ignored']],
        'interests' => [
            $opening('Delivery', 'delivery OR "project manager" OR projektleiter', ['delivery']),
            $opening('Quality and accessibility', 'QA OR test* OR accessibility', ['quality']),
        ],
    ],
    'hotels' => [
        'label' => 'hotels, restaurants and caterers', 'industries' => ['I'], 'headcount' => [10, 500],
        'roles' => [
            $head, $role('House and kitchen', ['hospitality'], ['operations']),
            $role('Purchasing', ['procurement', 'finance'], ['administration'], .8),
        ],
        'kinds' => ['funding' => ['counts' => 'ignored']],
        'interests' => [
            $opening('Kitchen and house', 'chef OR koch OR kock OR kok OR "hotel manager"', ['hospitality']),
        ],
    ],
    'shops' => [
        'label' => 'shops and wholesalers', 'industries' => ['G'], 'headcount' => [10, 1000],
        'roles' => [
            $head, $role('Stores and warehouse', ['operations', 'supply_chain'], ['sales']),
            $role('Purchasing', ['procurement'], ['finance'], .9), $role('Marketing', ['marketing'], ['sales'], .7),
        ],
        'kinds' => [],
        'interests' => [$opening('Store management', '"store manager" OR filialleiter* OR butikschef', ['operations'])],
    ],
    'building' => [
        'label' => 'builders and crafts', 'industries' => ['F'], 'headcount' => [5, 500],
        'roles' => [
            $head, $role('Sites', ['trades'], ['operations', 'engineering']),
            $role('Office', ['administration', 'finance'], ['procurement'], .8),
        ],
        'kinds' => ['funding' => ['counts' => 'ignored']],
        'interests' => [
            $opening('Site management', '"site manager" OR bauleiter* OR byggledare OR uitvoerder', ['trades']),
        ],
    ],
    'schools' => [
        'label' => 'schools, colleges and nurseries', 'industries' => ['P'], 'headcount' => [10, null],
        'roles' => [
            $head, $role('Teaching', ['teaching'], ['administration'], .9),
            $role('Office and IT', ['administration', 'it', 'finance'], ['procurement'], .9),
        ],
        'kinds' => ['funding' => ['weight' => .3]],
        'interests' => [
            $opening('Heads of school', '"head teacher" OR schulleit* OR rektor OR schoolleider', ['teaching']),
        ],
    ],
    'offices' => [
        'label' => 'professional firms: lawyers, accountants, consultants, engineers',
        'industries' => ['69', '70', '71', '72', '73', '74'], 'headcount' => [5, 500],
        'roles' => [
            $head, $role('Office management', ['administration', 'operations'], ['hr'], .9),
            $role('IT', ['it'], ['administration'], .8),
        ],
        'kinds' => [],
        'interests' => [
            $opening('Office management', '"office manager" OR büroleit* OR kontorschef', ['administration']),
        ],
    ],
    'money' => [
        'label' => 'banks, insurers and brokers', 'industries' => ['K'], 'headcount' => [20, null],
        'roles' => [
            $role('Finance', ['finance'], ['general_management']), $role('IT', ['it', 'data'], ['operations'], .9),
            $role('Compliance', ['legal'], ['finance'], .8), $head,
        ],
        'kinds' => [],
        'interests' => [$opening('Compliance', 'compliance OR regulatory', ['legal'])],
    ],
    'any' => [
        'label' => 'something else, or several trades', 'industries' => [], 'headcount' => [null, null],
        'roles' => [
            $head, $role('Operations', ['operations'], ['engineering', 'supply_chain'], .9),
            $role('Finance', ['finance', 'procurement'], ['administration'], .7), $role('IT', ['it'], ['data'], .7),
        ],
        'kinds' => [],
        'interests' => [],
    ],
];
