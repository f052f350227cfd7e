<?php

declare(strict_types=1);

namespace App\View;

use App\Support\Format;
use Carbon\CarbonImmutable;

/** A line of points, with all that made its number. */
final readonly class PointLine
{
    public string $points;

    public bool $isAgainst;

    /**
     * @param  string|null  $says  how the number comes about; null: it is what it is
     * @param  list<array{string, string, string}>  $made  its factors: name, remark, value
     */
    public function __construct(
        public string $label,
        float $points,
        public ?string $says = null,
        public array $made = [],
        public string $note = '',
        public ?CarbonImmutable $at = null,
    ) {
        $this->points = Format::points($points);
        $this->isAgainst = $points < 0 && $says !== null;
    }
}
