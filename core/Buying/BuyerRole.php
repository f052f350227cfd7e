<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

use Luftig\Core\Mistake;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Title;
use Luftig\Core\Text\Fold;
use Luftig\Core\Text\Query;

/** A kind of person who takes part in buying (rule 8). */
final readonly class BuyerRole
{
    private const NEIGHBOUR = .4;

    private const OTHER = .1;

    /** General management by size class (Authority::sizeClass). */
    private const GENERAL = [1.0, .8, .5, .5];

    /**
     * @param  int  $functions  a set (BusinessFunction::set)
     * @param  int  $neighbours  a set
     * @param  Query|null  $include  titles that belong to it whatever their function
     * @param  Query|null  $exclude  titles that are not eligible for it
     * @param  array<string, Query>  $variants  country → titles that belong to it there as well
     * @param  float  $weight  above 0, 1 as a rule
     */
    public function __construct(
        public string $name,
        public int $functions,
        public int $neighbours = 0,
        public ?Query $include = null,
        public ?Query $exclude = null,
        public float $weight = 1.0,
        public array $variants = [],
    ) {
        if (! is_finite($weight) || $weight <= 0) {
            throw Mistake::at('weight', 'The weight of a buyer role is a number above 0.');
        }
        if ($functions === 0 && $include === null && $variants === []) {
            throw Mistake::at('functions', 'A buyer role needs a function, or a query that finds its titles.');
        }
    }

    /** Whether the words of a title are asked for, and not only what was read in it. */
    public function looksAtWords(): bool
    {
        return $this->include !== null || $this->exclude !== null || $this->variants !== [];
    }

    /** Whether a query of this role finds a title, or excludes it; null where neither does. */
    public function finds(string $text, ?string $country): ?bool
    {
        if (! $this->looksAtWords()) {
            return null;
        }
        $line = Fold::line($text);
        if ($this->exclude?->matchesLine($line) === true) {
            return false;
        }
        $variant = $country === null ? null : $this->variants[$country] ?? null;

        $isFound = $this->include?->matchesLine($line) === true || $variant?->matchesLine($line) === true;

        return $isFound ? true : null;
    }

    /** How far somebody's functions are those of this role, 0–1. */
    public function match(Title $title, ?int $headcount): float
    {
        return match (true) {
            ($title->functions & $this->functions) !== 0 => 1.0,
            $title->has(BusinessFunction::GeneralManagement) => max(
                self::GENERAL[Authority::sizeClass($headcount)],
                ($title->functions & $this->neighbours) !== 0 ? self::NEIGHBOUR : self::OTHER,
            ),
            ($title->functions & $this->neighbours) !== 0 => self::NEIGHBOUR,
            default => self::OTHER,
        };
    }
}
