<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/** The days, of several stretches from a first to a last day, on which somebody was there. */
final readonly class Spans
{
    /** @param  list<array{int, int}>  $stretches  ascending, none touching another */
    private function __construct(private array $stretches)
    {
    }

    /**
     * @param  list<array{int, int}>  $stretches  first and last day, in any order, overlapping or not; one that ends
     *     before it begins has no day
     */
    public static function of(array $stretches): self
    {
        sort($stretches);
        $joined = [];
        $open = null;
        foreach ($stretches as [$first, $last]) {
            if ($last < $first) {
                continue;
            }
            if ($open !== null && $first <= $open[1] + 1) {
                $open = [$open[0], max($open[1], $last)];
            } else {
                $joined[] = $open;
                $open = [$first, $last];
            }
        }

        return new self(array_values(array_filter([...$joined, $open])));
    }

    /** Whether any of the days lies in a stretch. */
    public function meets(int $first, int $last): bool
    {
        foreach ($this->stretches as [$from, $until]) {
            if ($first <= $until && $last >= $from) {
                return $first <= $last;
            }
        }

        return false;
    }
}
