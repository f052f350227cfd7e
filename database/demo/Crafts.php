<?php

declare(strict_types=1);

namespace Database\Demo;

/**
 * What firms really make, in the words that they use of themselves: finer than any label, and in places against it.
 * With dice of its own, so that the rest of the demo does not depend on it.
 */
final readonly class Crafts
{
    /** The one that is hidden: those who blow film, under whatever label. */
    public const FILM = 'film';

    /** In which trade which crafts are at home, by weight. */
    private const AT_HOME = [
        '2220' => ['film' => 65, 'mouldings' => 35], '17' => ['board' => 60, 'tissue' => 40],
        '13' => ['weaving' => 100], '25' => ['sheet' => 60, 'forging' => 40], '2930' => ['gears' => 60, 'seats' => 40],
        '1621' => ['panels' => 100], '2100' => ['tablets' => 100], '26' => ['boards' => 100],
        '2310' => ['containers' => 60, 'panes' => 40],
    ];

    private const SAYS = [
        'film' => [
            'stretch film', 'shrink film for bottles', 'pallet wrap', 'blown film lines', 'seven-layer co-extrusion',
            'film reels', 'printed film', 'barrier film for cheese', 'silage wrap', 'film thickness',
            'hood film', 'lamination film',
        ],
        'mouldings' => [
            'moulded caps', 'injection tools', 'crates and buckets', 'two-component parts', 'hot runners',
            'moulded housings', 'tool shop', 'thin-wall cups',
        ],
        'board' => [
            'folding boxboard', 'corrugated sheets', 'recycled fibre', 'board machine', 'coated board', 'die-cut boxes',
            'waste paper', 'fluting',
        ],
        'tissue' => ['tissue paper', 'kitchen rolls', 'napkins', 'crepe paper', 'converting lines', 'parent reels'],
        'weaving' => [
            'air-jet looms', 'woven belts', 'coated fabrics', 'yarn store', 'dye house', 'technical fabrics', 'awnings',
            'filter cloth',
        ],
        'sheet' => [
            'laser-cut sheets', 'bent brackets', 'welded frames', 'powder coating', 'press brakes', 'cabinets',
            'punched parts',
        ],
        'forging' => ['forged rings', 'drop hammers', 'hardened bolts', 'heat treatment', 'turned parts', 'wire rods'],
        'gears' => ['ground gears', 'axle shafts', 'gearbox housings', 'hobbing machines', 'test benches', 'splines'],
        'seats' => ['seat frames', 'foamed cushions', 'headrests', 'sewn covers', 'just in sequence'],
        'panels' => [
            'chipboard', 'melamine faced panels', 'veneer', 'hot presses', 'sanding lines', 'oriented strands',
            'door blanks',
        ],
        'tablets' => [
            'tablet coating', 'sterile filling', 'blister lines', 'freeze drying', 'clean rooms', 'granulation',
            'syrups',
        ],
        'boards' => [
            'surface mounting', 'printed circuit boards', 'reflow ovens', 'test adapters', 'cable sets', 'potting',
            'clean rooms',
        ],
        'containers' => [
            'glass jars', 'bottles for spirits', 'melting furnaces', 'annealing lehrs', 'moulds for bottles', 'cullet',
        ],
        'panes' => ['insulating panes', 'float glass', 'toughened glass', 'cutting tables', 'laminated panes'],
    ];

    /** A sentence that anybody could say. */
    private const ANYBODY = [
        'Quality and short ways have made us known.', 'We deliver within the week.', 'Our people know their machines.',
        'Ask us for a sample.', 'We grow with our customers.', 'Family-owned for three generations.',
    ];

    private const SAID = 5;

    /** Hundredths of the others who serve those who blow film, and say so in the words of these. */
    private const SERVES = .3;

    /** Hundredths of makers who blow film though their trade is another, and of those who do whose label misleads. */
    private const ELSEWHERE = .03;

    private const MISLEADS = .25;

    private const LABELS = ['packaging', 'paper', 'textiles', 'metal goods', 'Papier', 'Kunststoff'];

    public function __construct(private Dice $dice)
    {
    }

    /**
     * @param  array<string, mixed>  $company  a row of the file
     * @return array<string, mixed> with what it says of itself, its label where that misleads, and the truth
     */
    public function speak(array $company, string $trade): array
    {
        $homes = self::AT_HOME[$trade] ?? [];
        if ($homes === []) {
            return $company;
        }
        $craft = (string) $this->dice->weighted($homes);
        if ($this->dice->chance(self::ELSEWHERE)) {
            $craft = self::FILM;
        }
        $label = $this->dice->chance(self::MISLEADS) ? $this->dice->pick(self::LABELS) : null;
        $said = $this->some($craft, self::SAID);

        return array_replace($company, [
            'description' => "{$company['description']} We make {$said[0]}, {$said[1]} and {$said[2]}. "
                .ucfirst("{$said[3]}, {$said[4]}").'. '.$this->serves($craft).' '.$this->dice->pick(self::ANYBODY),
            'industry' => $craft === self::FILM && $label !== null ? $label : $company['industry'],
            'truth' => $company['truth'] + ['craft' => $craft],
        ]);
    }

    /** Who serves others speaks of what these make, which tells nothing of what it makes itself. */
    private function serves(string $craft): string
    {
        $served = $craft !== self::FILM && $this->dice->chance(self::SERVES) ? self::FILM
            : $this->dice->pick(array_values(array_diff(array_keys(self::SAYS), [$craft, self::FILM])));
        $made = $this->some($served, 2);

        return "Customers of ours make {$made[0]} and {$made[1]}.";
    }

    /** @return list<string> phrases of a craft, each once */
    private function some(string $craft, int $many): array
    {
        $said = [];
        while (count($said) < $many) {
            $phrase = $this->dice->pick(self::SAYS[$craft]);
            $said[$phrase] = $phrase;
        }

        return array_values($said);
    }
}
