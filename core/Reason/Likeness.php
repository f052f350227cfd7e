<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Company\Technology;
use Luftig\Core\Likeness\Closeness;

/**
 * How like two companies are, for a story that is told to one of the other (rule 21): .5 closeness in the industry tree
 * + .25 closeness in log headcount + .15 same country + .1 a technology in common.
 *
 * What is not known of one of the two counts half, but for technologies, of which there is none in common.
 */
final readonly class Likeness
{
    /** From here on a story is offered. */
    public const LEAST = .4;

    /**
     * @param  list<string>  $industries  ISIC codes
     * @param  list<string>  $technologies
     */
    public function __construct(
        private array $industries,
        private ?int $headcount,
        private ?string $country,
        private array $technologies,
    ) {
    }

    /** 0–1 */
    public function to(self $other): float
    {
        $common = array_intersect(
            array_map(Technology::key(...), $this->technologies),
            array_map(Technology::key(...), $other->technologies),
        );

        return .5 * Closeness::inTree($this->industries, $other->industries)
            + .25 * Closeness::inHeads($this->headcount, $other->headcount) + .15 * match (true) {
                $this->country === null || $other->country === null => .5,
                default => strtoupper($this->country) === strtoupper($other->country) ? 1.0 : 0.0,
            } + ($common === [] ? 0.0 : .1);
    }
}
