<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Support\Format;

/** A value of what was found, with how many have it, to look for only these or to leave them out. */
final readonly class Facet
{
    public string $number;

    /** @param  string  $value  as a step has it; empty for a band of numbers */
    public function __construct(
        public string $value,
        public string $label,
        public string $of,
        int $count,
        public float $share,
        public string $only,
        public string $without,
    ) {
        $this->number = Format::number($count);
    }
}
