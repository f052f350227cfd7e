<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/** A row of conditions with what each of them costs (rule 12). All counts are exact. */
final readonly class Narrowing
{
    /**
     * @param  Bitmap  $result  who remains
     * @param  list<int>  $after  how many remain after each step
     * @param  list<int>  $without  how many there would be without it
     * @param  list<int>  $unknown  of how many of those that the other steps keep it is not known
     */
    private function __construct(
        public Bitmap $result,
        public array $after,
        public array $without,
        public array $unknown,
    ) {
    }

    /**
     * @param  Bitmap  $all  whom there is to begin with
     * @param  list<Step>  $steps
     */
    public static function of(Bitmap $all, array $steps): self
    {
        $kept = array_map(static fn (Step $step): Bitmap => $step->keeps($all), $steps);
        // What the steps before keep, and what the steps after keep: 2k operations instead of k².
        $before = [$all];
        $after = [];
        foreach ($kept as $i => $bitmap) {
            $before[] = $before[$i]->and($bitmap);
            $after[] = $before[$i + 1]->count();
        }
        $behind = $all;
        $without = $unknown = [];
        for ($i = count($kept) - 1; $i >= 0; $i--) {
            $others = $before[$i]->and($behind);
            $without[$i] = $others->count();
            $unknown[$i] = $others->countWith($steps[$i]->unknown);
            $behind = $behind->and($kept[$i]);
        }
        ksort($without);
        ksort($unknown);

        return new self($before[count($kept)], $after, array_values($without), array_values($unknown));
    }
}
