<?php

declare(strict_types=1);

// ISIC Rev. 4 (United Nations, 2008): divisions, with the groups and classes of manufacturing that are told apart.
return [
    '01' => 'Crop and animal production', '02' => 'Forestry and logging', '03' => 'Fishing and aquaculture',
    '05' => 'Mining of coal', '06' => 'Extraction of petroleum and gas', '07' => 'Mining of metal ores', '08' => 'Other mining and quarrying', '09' => 'Mining support services',
    '10' => 'Food products', '101' => 'Meat processing', '102' => 'Fish processing', '103' => 'Fruit and vegetable processing', '105' => 'Dairy products', '106' => 'Grain mill products and starches', '107' => 'Other food products', '1071' => 'Bakery products', '1073' => 'Cocoa, chocolate and sugar confectionery', '108' => 'Animal feeds',
    '11' => 'Beverages', '12' => 'Tobacco products', '13' => 'Textiles', '131' => 'Spinning, weaving and finishing of textiles', '139' => 'Other textiles', '14' => 'Wearing apparel', '15' => 'Leather products',
    '16' => 'Wood products', '161' => 'Sawmilling', '162' => 'Products of wood and cork', '1621' => 'Veneer sheets and wood-based panels', '1622' => 'Builders’ carpentry', '1623' => 'Wooden containers',
    '17' => 'Paper products', '1701' => 'Pulp, paper and paperboard', '1702' => 'Corrugated paper and packaging', '1709' => 'Other articles of paper', '18' => 'Printing', '19' => 'Coke and refined petroleum',
    '20' => 'Chemicals', '201' => 'Basic chemicals and plastics in primary forms', '202' => 'Other chemical products', '2022' => 'Paints and coatings', '203' => 'Man-made fibres',
    '21' => 'Pharmaceuticals', '2100' => 'Pharmaceuticals and medicinal chemicals',
    '22' => 'Rubber and plastics products', '221' => 'Rubber products', '2211' => 'Rubber tyres', '2219' => 'Other rubber products', '222' => 'Plastics products', '2220' => 'Plastics products',
    '23' => 'Glass, ceramics and other mineral products', '231' => 'Glass and glass products', '2310' => 'Glass and glass products', '239' => 'Other mineral products', '2391' => 'Refractory products', '2392' => 'Clay building materials', '2393' => 'Porcelain and ceramics', '2394' => 'Cement, lime and plaster', '2395' => 'Concrete articles', '2396' => 'Cutting of stone',
    '24' => 'Basic metals', '241' => 'Iron and steel', '242' => 'Precious and non-ferrous metals', '243' => 'Casting of metals', '2431' => 'Casting of iron and steel', '2432' => 'Casting of non-ferrous metals',
    '25' => 'Fabricated metal products', '251' => 'Structural metal products, tanks', '259' => 'Other fabricated metal products', '2591' => 'Forging, pressing and stamping', '2592' => 'Treatment and coating of metals; machining', '2593' => 'Cutlery, hand tools and hardware', '2599' => 'Other fabricated metal products',
    '26' => 'Computers, electronics and optics', '261' => 'Electronic components and boards', '2610' => 'Electronic components and boards', '262' => 'Computers', '263' => 'Communication equipment', '264' => 'Consumer electronics', '265' => 'Measuring and control instruments; watches', '266' => 'Irradiation and electromedical equipment', '267' => 'Optical instruments',
    '27' => 'Electrical equipment', '271' => 'Electric motors, generators, transformers', '272' => 'Batteries', '273' => 'Wiring', '274' => 'Lighting', '275' => 'Domestic appliances',
    '28' => 'Machinery', '281' => 'General-purpose machinery', '2813' => 'Pumps, compressors, taps and valves', '282' => 'Special-purpose machinery',
    '29' => 'Motor vehicles', '291' => 'Motor vehicles', '292' => 'Bodies and trailers', '293' => 'Parts for motor vehicles', '2930' => 'Parts for motor vehicles',
    '30' => 'Other transport equipment', '301' => 'Ships and boats', '302' => 'Railway rolling stock', '303' => 'Aircraft', '31' => 'Furniture', '3100' => 'Furniture', '32' => 'Other manufacturing', '325' => 'Medical and dental instruments', '33' => 'Repair and installation of machinery',
    '35' => 'Electricity, gas and steam', '36' => 'Water supply', '37' => 'Sewerage', '38' => 'Waste treatment and recovery', '39' => 'Remediation',
    '41' => 'Construction of buildings', '42' => 'Civil engineering', '43' => 'Specialised construction', '45' => 'Trade and repair of motor vehicles', '46' => 'Wholesale trade', '466' => 'Wholesale of machinery', '47' => 'Retail trade',
    '49' => 'Land transport', '50' => 'Water transport', '51' => 'Air transport', '52' => 'Warehousing and support for transport', '53' => 'Postal and courier', '55' => 'Accommodation', '56' => 'Food and beverage service',
    '58' => 'Publishing', '59' => 'Film, television and music', '60' => 'Broadcasting', '61' => 'Telecommunications', '62' => 'Computer programming and consultancy', '63' => 'Information services', '64' => 'Financial services', '65' => 'Insurance', '66' => 'Activities auxiliary to finance', '68' => 'Real estate',
    '69' => 'Legal and accounting', '70' => 'Head offices; management consultancy', '702' => 'Management consultancy', '71' => 'Architecture and engineering; testing', '711' => 'Architecture and engineering', '712' => 'Technical testing', '72' => 'Scientific research', '73' => 'Advertising and market research', '74' => 'Other professional activities', '75' => 'Veterinary',
    '77' => 'Rental and leasing', '78' => 'Employment activities', '79' => 'Travel agencies', '80' => 'Security', '81' => 'Services to buildings', '82' => 'Office support', '84' => 'Public administration', '85' => 'Education', '86' => 'Human health', '87' => 'Residential care', '88' => 'Social work',
    '90' => 'Arts', '91' => 'Libraries and museums', '92' => 'Gambling', '93' => 'Sports and recreation', '94' => 'Membership organisations', '95' => 'Repair of household goods', '96' => 'Other personal services', '97' => 'Households as employers', '98' => 'Household production', '99' => 'Extraterritorial bodies',
];
