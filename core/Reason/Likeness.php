<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Company\IndustryTree;
use Luftig\Core\Company\Technology;

/**
 * How like two companies are, for a story that is told to one of the other (rule 21): .5 closeness in the industry tree
 * + .25 closeness in log headcount + .15 same country + .1 a technology in common.
 *
 * Closeness in the tree is how deep the two lie together: section ¼, division ½, group ¾, class 1; the closest pair of
 * their industries counts. Closeness of headcounts falls from 1, where they are equal, to 0 where one is ten times the
 * other. What is not known of one of the two counts half, but for technologies, of which there is none in common.
 */
final readonly class Likeness
{
    /** From here on a story is offered. */
    public const LEAST = .4;

    private const DEPTH = 4;

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

        return .5 * $this->inTree($other) + .25 * $this->inHeads($other) + .15 * match (true) {
            $this->country === null || $other->country === null => .5,
            default => strtoupper($this->country) === strtoupper($other->country) ? 1.0 : 0.0,
        } + ($common === [] ? 0.0 : .1);
    }

    private function inTree(self $other): float
    {
        if ($this->industries === [] || $other->industries === []) {
            return .5;
        }
        $closest = 0.0;
        foreach ($this->industries as $one) {
            foreach ($other->industries as $another) {
                $closest = max($closest, $one === $another ? 1.0 : self::common($one, $another) / self::DEPTH);
            }
        }

        return $closest;
    }

    private static function common(string $one, string $another): int
    {
        $shared = array_intersect(IndustryTree::path($one), IndustryTree::path($another));
        $deepest = $shared === [] ? '' : reset($shared);

        // A section is a letter, and not the first of the digits.
        return $deepest === '' ? 0 : (ctype_alpha($deepest) ? 1 : strlen($deepest));
    }

    private function inHeads(self $other): float
    {
        if ($this->headcount === null || $other->headcount === null) {
            return .5;
        }

        return max(0.0, 1 - abs(log10(max(1, $this->headcount) / max(1, $other->headcount))));
    }
}
