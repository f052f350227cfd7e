<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Company\Technology;

/**
 * What technologies say to an offer (rule 2): one that it completes speaks for an account where it appears, one that it
 * replaces where it disappears, and all others say nothing. Where nothing was said of any, each change is told.
 */
final readonly class TechnologyStance
{
    /** @var array<string, true> */
    private array $completes;

    /** @var array<string, true> */
    private array $replaces;

    /**
     * @param  list<string>  $completes  names, in any spelling (Technology::key)
     * @param  list<string>  $replaces
     */
    public function __construct(array $completes = [], array $replaces = [])
    {
        $this->completes = array_fill_keys(array_map(Technology::key(...), $completes), true);
        $this->replaces = array_fill_keys(array_map(Technology::key(...), $replaces), true);
    }

    /** Whether a change of a technology is a signal for the offer. */
    public function counts(Kind $kind, string $technology): bool
    {
        return match (true) {
            $this->completes === [] && $this->replaces === [] => true,
            $kind === Kind::TechAdopted => $this->completes($technology),
            $kind === Kind::TechDropped => $this->replaces($technology),
            default => false,
        };
    }

    public function completes(string $technology): bool
    {
        return isset($this->completes[Technology::key($technology)]);
    }

    public function replaces(string $technology): bool
    {
        return isset($this->replaces[Technology::key($technology)]);
    }
}
