<?php

declare(strict_types=1);

namespace Database\Demo;

/** The words that the invented companies and people are made of. */
final class Words
{
    /** country → share in the whole */
    public const COUNTRIES = [
        'SE' => 26, 'DE' => 22, 'DK' => 11, 'PL' => 10, 'NO' => 8, 'FI' => 8, 'NL' => 8, 'CZ' => 4, 'EE' => 1,
        'LV' => 1, 'LT' => 1,
    ];

    /** country → [first halves, second halves] of invented company stems */
    public const STEMS = [
        'SE' => [
            [
                'Und', 'Tun', 'Sverk', 'Alm', 'Brann', 'Kvist', 'Hög', 'Rask', 'Vassl', 'Ekn', 'Skur', 'Löv', 'Tjär',
                'Måk', 'Grims', 'Furn',
            ],
            ['vik', 'hede', 'hult', 'mora', 'torpa', 'skär', 'bränna', 'linge', 'stav', 'åkra', 'myrne', 'salt'],
        ],
        'DK' => [
            ['Hvol', 'Brem', 'Skov', 'Rør', 'Tang', 'Egl', 'Vind', 'Klit', 'Sand', 'Bøg', 'Fjern', 'Lyng'],
            ['havn', 'bjerre', 'drup', 'kilde', 'toft', 'lund', 'strup', 'mose', 'holme', 'sløk'],
        ],
        'NO' => [
            ['Brekke', 'Fjell', 'Skar', 'Tind', 'Myr', 'Storv', 'Lauv', 'Grøn', 'Havn', 'Ulv'],
            ['sund', 'botn', 'vang', 'nuten', 'hamar', 'støl', 'eidet', 'tveit', 'dokk'],
        ],
        'FI' => [
            ['Kuus', 'Lehti', 'Raja', 'Vesi', 'Kallio', 'Hiekka', 'Niemi', 'Suvi', 'Tuuli', 'Koski'],
            ['harju', 'salmi', 'mäki', 'lampi', 'ranta', 'pohja', 'kannas', 'vaara', 'suo'],
        ],
        'DE' => [
            [
                'Ost', 'Grau', 'Hohen', 'Kalten', 'Linden', 'Moor', 'Wiesen', 'Stein', 'Uhl', 'Bruch', 'Eichen', 'Sand',
                'Weiden', 'Rothen', 'Birken', 'Tiefen',
            ],
            ['brock', 'kamp', 'wede', 'siel', 'grund', 'horst', 'loh', 'stedt', 'brink', 'anger', 'wörth', 'quell'],
        ],
        'NL' => [
            ['Vlakke', 'Noorder', 'Zand', 'Polder', 'Wilgen', 'Riet', 'Duin', 'Molen', 'Kade', 'Veen'],
            ['dam', 'horst', 'kamp', 'wijk', 'sloot', 'brug', 'dijk', 'weide', 'hoek'],
        ],
        'PL' => [
            ['Wron', 'Brzez', 'Lipo', 'Dolni', 'Kamie', 'Zielo', 'Jasio', 'Krasno', 'Olszo', 'Topo'],
            ['wica', 'niec', 'wola', 'grodek', 'bórz', 'lanka', 'stawy', 'rzyce', 'linek'],
        ],
        'CZ' => [
            ['Bukov', 'Lesn', 'Doln', 'Kamen', 'Javor', 'Olš', 'Skaln', 'Vrb'],
            ['ina', 'ice', 'ovec', 'any', 'ůvka', 'otín', 'ěves'],
        ],
        'EE' => [['Kivi', 'Männi', 'Jõe', 'Liiva'], ['saare', 'mäe', 'palu', 'nurme']],
        'LV' => [['Bērz', 'Kalna', 'Jūras', 'Ozol'], ['ene', 'vals', 'malas', 'kalne']],
        'LT' => [['Ąžuol', 'Upės', 'Smilt', 'Pušy'], ['ynė', 'vagis', 'kalnis', 'nas']],
    ];

    /** ISIC → [labels as files have them, trade words by language (the rest take the first)] */
    public const TRADES = [
        '2310' => [['glass', 'Glas', 'glasbruk', 'szkło', 'C 23.10'], [
            'SE' => 'Glasverk', 'DK' => 'Glas', 'DE' => 'Glashütte', 'NL' => 'Glaswerk', 'PL' => 'Szkło',
            'FI' => 'Lasi', 'NO' => 'Glass', 'CZ' => 'Sklo',
        ]],
        '2220' => [
            ['plastics', 'Kunststoff', 'plast', 'tworzywa sztuczne', '2220'],
            [
                'SE' => 'Plaströr', 'DK' => 'Plast', 'DE' => 'Folien', 'NL' => 'Folie', 'PL' => 'Tworzywa',
                'FI' => 'Muovi', 'NO' => 'Plastemne', 'CZ' => 'Plasty',
            ],
        ],
        '17' => [
            ['paper', 'Papier', 'papper', 'papir', 'pulp and paper'],
            [
                'SE' => 'Papper', 'DK' => 'Papir', 'DE' => 'Karton', 'NL' => 'Karton', 'PL' => 'Papiernia',
                'FI' => 'Paperi', 'NO' => 'Papir', 'CZ' => 'Papír',
            ],
        ],
        '13' => [['textiles', 'Textilien', 'textil', 'tekstil'], [
            'SE' => 'Väveri', 'DK' => 'Tekstil', 'DE' => 'Weberei', 'NL' => 'Weverij', 'PL' => 'Tkalnia',
            'FI' => 'Kutomo', 'NO' => 'Veveri', 'CZ' => 'Tkanina',
        ]],
        '25' => [
            ['metal goods', 'Metallwaren', 'metallvaror', 'wyroby metalowe'],
            [
                'SE' => 'Plåt', 'DK' => 'Metalvarer', 'DE' => 'Stanzteile', 'NL' => 'Plaatwerk', 'PL' => 'Wyroby',
                'FI' => 'Levy', 'NO' => 'Stål', 'CZ' => 'Kovo',
            ],
        ],
        '2930' => [
            ['vehicle parts', 'Automobilzulieferer', 'fordonsdelar', 'automotive'],
            [
                'SE' => 'Axeldelar', 'DK' => 'Bildele', 'DE' => 'Getriebeteile', 'NL' => 'Assen', 'PL' => 'Osie',
                'FI' => 'Akseli', 'NO' => 'Hjuldeler', 'CZ' => 'Autodíly',
            ],
        ],
        '1621' => [
            ['wood panels', 'Holzwerkstoffe', 'träskivor', 'chipboard'],
            [
                'SE' => 'Skivträ', 'DK' => 'Spånplade', 'DE' => 'Platten', 'NL' => 'Plaatmateriaal', 'PL' => 'Płyty',
                'FI' => 'Levypuu', 'NO' => 'Trepanel', 'CZ' => 'Dřevodesky',
            ],
        ],
        '2100' => [
            ['pharmaceuticals', 'Pharma', 'läkemedel', 'farmacja'],
            [
                'SE' => 'Läkemedel', 'DK' => 'Medicin', 'DE' => 'Arznei', 'NL' => 'Farma', 'PL' => 'Farma',
                'FI' => 'Lääke', 'NO' => 'Farmasi', 'CZ' => 'Léčiva',
            ],
        ],
        '26' => [
            ['electronics', 'Elektronik', 'elektronik', 'elektronika', 'printed circuit boards'],
            [
                'SE' => 'Kretskort', 'DK' => 'Elektronik', 'DE' => 'Leiterplatten', 'NL' => 'Elektronica',
                'PL' => 'Elektronika', 'FI' => 'Piirilevy', 'NO' => 'Elektronikk', 'CZ' => 'Obvody',
            ],
        ],
    ];

    public const NOISE = [
        '46' => [
            ['wholesale', 'Großhandel', 'partihandel', 'trading'],
            ['SE' => 'Handel', 'DE' => 'Großhandel', 'PL' => 'Hurt', 'NL' => 'Groothandel'],
        ],
        '702' => [
            ['consultancy', 'Unternehmensberatung', 'konsult'],
            ['SE' => 'Rådgivning', 'DE' => 'Beratung', 'PL' => 'Doradztwo', 'NL' => 'Advies'],
        ],
        '2813' => [['compressors', 'Kompressoren'], [
            'SE' => 'Kompressor', 'DE' => 'Drucklufttechnik', 'PL' => 'Sprężarki', 'NL' => 'Perslucht',
        ]],
        '78' => [
            ['staffing', 'Personalvermittlung', 'bemanning', 'recruitment'],
            ['SE' => 'Bemanning', 'DE' => 'Personal', 'PL' => 'Kadry', 'NL' => 'Uitzendwerk'],
        ],
        '28' => [['machinery', 'Maschinenbau'], [
            'SE' => 'Maskin', 'DE' => 'Maschinen', 'PL' => 'Maszyny', 'NL' => 'Machines',
        ]],
        '52' => [['logistics', 'Logistik'], [
            'SE' => 'Lager', 'DE' => 'Spedition', 'PL' => 'Magazyny', 'NL' => 'Opslag',
        ]],
        '' => [
            ['circular materials', 'thermal processing', 'Veredelung', 'advanced parts', 'surface solutions'],
            ['SE' => 'Teknik', 'DE' => 'Technik', 'PL' => 'Technika', 'NL' => 'Techniek'],
        ],
    ];

    public const FIRST_NAMES = [
        'SE' => [
            'Maja', 'Sixten', 'Tove', 'Arvid', 'Ebba', 'Ingrid', 'Nils', 'Saga', 'Vidar', 'Elin', 'Hampus', 'Linnea',
        ],
        'DK' => ['Pernille', 'Jannik', 'Mette', 'Rasmus', 'Sofie', 'Troels', 'Karen', 'Mads'],
        'NO' => ['Olav', 'Henrik', 'Ida', 'Kari', 'Sindre', 'Marit', 'Eirik', 'Solveig'],
        'FI' => ['Aino', 'Eero', 'Helmi', 'Jukka', 'Kaisa', 'Lauri', 'Outi', 'Veikko'],
        'DE' => [
            'Maren', 'Lena', 'Jonas', 'Friedrich', 'Heike', 'Torben', 'Anja', 'Ulrich', 'Katrin', 'Sven', 'Birgit',
            'Holger',
        ],
        'NL' => ['Ruben', 'Sanne', 'Daan', 'Femke', 'Joost', 'Marijke', 'Wouter', 'Lotte'],
        'PL' => ['Agata', 'Piotr', 'Zofia', 'Tomasz', 'Ewa', 'Marek', 'Hanna', 'Krzysztof'],
        'CZ' => ['Jana', 'Petr', 'Tereza', 'Ondřej'], 'EE' => ['Liis', 'Tanel'], 'LV' => ['Inese', 'Māris'],
        'LT' => ['Rasa', 'Tomas'],
    ];

    /** country → [first halves, second halves] of invented family names */
    public const LAST_NAMES = [
        'SE' => [
            ['Mor', 'Alm', 'Ask', 'Rönn', 'Svart', 'Ny', 'Gran', 'Lys', 'Tall'],
            ['vall', 'skar', 'grim', 'bäcke', 'hagel', 'mark', 'dahlén', 'stierna', 'fält'],
        ],
        'DK' => [
            ['Hvolby', 'Askov', 'Bremer', 'Lind', 'Skov', 'Vester'],
            ['-Friis', '-Rye', 'dal', 'høj', 'gaardt', '-Lunde'],
        ],
        'NO' => [['Brekke', 'Sandmo', 'Tind', 'Haug', 'Lauv'], ['sund', '-Lie', 'stø', 'myr', 'rud']],
        'FI' => [['Kuusi', 'Rauta', 'Lehto', 'Salo', 'Hieta'], ['vuori', 'nen', 'kangas', 'koivu', 'lahti']],
        'DE' => [
            ['Uhl', 'Quast', 'Barn', 'Hollen', 'Wester', 'Rieck', 'Brand', 'Möll'],
            ['brock', 'row', 'storf', 'steiner', 'kötter', 'hagen', 'mann', 'ner'],
        ],
        'NL' => [
            ['van Aalster', 'de Vlak', 'ter Horst', 'van Wilgen', 'Zand'],
            ['veen', 'kamp', 'sma', 'dijk', 'stra'],
        ],
        'PL' => [['Wron', 'Lipiń', 'Brzez', 'Olsz', 'Kamień'], ['ska-Dal', 'ski', 'owicz', 'ecka', 'czak']],
        'CZ' => [['Bukov', 'Lesn', 'Vrb'], ['ský', 'ická', 'anová']], 'EE' => [['Kivi', 'Mets'], ['saar', 'oja']],
        'LV' => [['Ozol', 'Bērz'], ['iņš-Lapa', 'kalns']], 'LT' => [['Ąžuol', 'Kalv'], ['aitis', 'elis']],
    ];

    /** role → titles as people write them, by country (the rest take EN) */
    public const TITLES = [
        'maintenance' => [
            'EN' => ['Head of Maintenance', 'Maintenance Manager', 'Maintenance Lead', 'Maintenance Planner'],
            'SE' => ['Underhållschef', 'Maintenance Manager'],
            'DE' => ['Instandhaltungsleitung', 'Leitung Instandhaltung', 'Head of Maintenance'],
            'DK' => ['Vedligeholdelseschef', 'Teknisk chef'],
            'NL' => ['Hoofd Technische Dienst'],
            'PL' => ['Kierownik Utrzymania Ruchu'],
            'FI' => ['Kunnossapitopäällikkö'],
            'NO' => ['Vedlikeholdssjef'],
            'CZ' => ['Vedoucí údržby'],
        ],
        'energy' => [
            'EN' => ['Energy Manager', 'Utilities Engineer', 'Sustainability Manager'],
            'SE' => ['Energiansvarig', 'Energisamordnare'],
            'DE' => ['Energiemanagement', 'Leitung Versorgungstechnik'],
            'DK' => ['Energichef'],
            'PL' => ['Specjalista ds. energii'],
            'FI' => ['Energiapäällikkö'],
        ],
        'plant' => [
            'EN' => ['Plant Manager', 'Site Manager', 'Operations Manager', 'COO'],
            'SE' => ['Platschef', 'Produktionschef'],
            'DE' => ['Werkleitung', 'Produktionsleitung', 'Betriebsleitung'],
            'DK' => ['Fabrikschef', 'Produktionschef'],
            'NL' => ['Bedrijfsleider', 'Fabrieksdirecteur'],
            'PL' => ['Dyrektor Zakładu'],
            'FI' => ['Tehtaanjohtaja'],
            'NO' => ['Fabrikksjef'],
        ],
        'chief' => [
            'EN' => ['Managing Director', 'CEO', 'Chief Executive Officer', 'CFO'],
            'SE' => ['VD', 'Verkställande direktör'],
            'DE' => ['Geschäftsführung', 'Vorsitz der Geschäftsführung'],
            'DK' => ['Administrerende direktør'],
            'NL' => ['Directeur', 'Algemeen directeur'],
            'PL' => ['Prezes Zarządu'],
            'FI' => ['Toimitusjohtaja'],
            'NO' => ['Daglig leder'],
        ],
        'other' => [
            'EN' => [
                'Quality Manager', 'Head of Procurement', 'IT Manager', 'HR Business Partner', 'Sales Manager',
                'Controller', 'Assistant to the Managing Director', 'Process Engineer', 'Key Account Manager',
                'Warehouse Lead',
            ],
            'SE' => ['Kvalitetschef', 'Inköpschef', 'Ekonomichef', 'IT-ansvarig'],
            'DE' => ['Qualitätsleitung', 'Einkaufsleitung', 'Assistenz der Geschäftsführung', 'Leitung Controlling'],
            'PL' => ['Kierownik ds. jakości', 'Kupiec'],
            'NL' => ['Inkoper', 'Kwaliteitsmanager'],
            'DK' => ['Kvalitetschef', 'Indkøbschef', 'Økonomichef'],
            'NO' => ['Kvalitetssjef', 'Innkjøpssjef', 'Økonomisjef'],
            'FI' => ['Laatupäällikkö', 'Ostopäällikkö', 'Talouspäällikkö'],
        ],
    ];

    /** What any maker may say of itself. */
    public const KEYWORDS = [
        'three shifts', 'compressed air', 'energy audit', 'own power station', 'district heating',
        'pneumatic conveying',
    ];

    /** What only those of a trade say. */
    public const TRADE_WORDS = [
        '2310' => ['container glass', 'float glass', 'glass melting', 'annealing lehr'],
        '2220' => ['blow moulding', 'extrusion', 'vacuum forming', 'injection moulding'],
        '17' => ['recycled fibre', 'board machine', 'converting', 'pulp drying'],
        '13' => ['weaving', 'air-jet looms', 'dyeing', 'technical textiles'],
        '25' => ['stamping', 'spray coating', 'laser cutting', 'welding cells'],
        '2930' => ['stamping', 'gear cutting', 'paint shop', 'just in time'],
        '1621' => ['chipboard', 'hot pressing', 'sanding line', 'veneer'],
        '2100' => ['clean room', 'clean dry air', 'sterile filling', 'tablet coating'],
        '26' => ['clean room', 'clean dry air', 'surface mounting', 'reflow soldering'],
    ];

    /** What a posting says of the work, by what is sought. */
    public const POSTINGS = [
        'maintenance planner' => [
            'You plan the upkeep of our lines, week by week.', 'You know compressed air, steam and vacuum.',
            'You bring order into what has been repaired on call.',
        ],
        'energy manager' => [
            'The energy audit is your first task.', 'You find out where our electricity goes, and bring it down.',
            'You report on energy to the management of three plants.',
        ],
        'utilities engineer' => [
            'You look after compressed air, cooling and steam.', 'You rebuild our compressor house.',
            'You answer for air that is clean and dry.',
        ],
        'plant manager' => [
            'You lead 120 people in three shifts.',
            'You start up our new line.',
            'You answer for cost, quality and safety.',
        ],
        'shift electrician' => [
            'You keep the lines running at night.', 'You read drawings and find faults.', 'You work in a team of four.',
        ],
    ];

    public const SYSTEMS = ['Vedliko Plan', 'Skiftara', 'Ordvika', 'Rundgång 4'];

    public const LOGGERS = ['Tryklog', 'Luftmåler 2', 'Pneuskrift'];

    public const OPENINGS = [
        'maintenance planner', 'energy manager', 'utilities engineer', 'plant manager', 'shift electrician',
    ];
}
