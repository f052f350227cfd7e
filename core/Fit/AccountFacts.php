<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Text\Fold;

/** What is known of an account when its fit is asked. Null, and an empty list, mean unknown. */
final class AccountFacts
{
    private ?string $line = null;

    /**
     * @param  float|null  $revenue  EUR a year
     * @param  float|null  $growth  of headcount over a year, as a fraction
     * @param  list<string>  $industries  ISIC codes, the main one first
     * @param  list<string>  $technologies
     * @param  list<self>  $otherSites  what is known of the places beside the headquarters
     * @param  array<string, string>  $facts  of the team's own, by name (OwnFact::key)
     * @param  array<string, float>  $numbers  those of them that are numbers, by name (OwnFact::key)
     */
    public function __construct(
        public readonly ?int $headcount = null,
        public readonly ?float $revenue = null,
        public readonly ?float $growth = null,
        public readonly ?int $sites = null,
        public readonly array $industries = [],
        public readonly ?string $country = null,
        public readonly ?string $region = null,
        public readonly ?string $postalCode = null,
        public readonly ?Coordinates $place = null,
        public readonly array $technologies = [],
        public readonly ?string $text = null,
        public readonly array $otherSites = [],
        public readonly array $facts = [],
        public readonly array $numbers = [],
    ) {
    }

    public function withHeadcount(int $heads): self
    {
        return $this->with(headcount: $heads);
    }

    /** @param  float  $revenue  EUR a year */
    public function withRevenue(float $revenue): self
    {
        return $this->with(revenue: $revenue);
    }

    private function with(?int $headcount = null, ?float $revenue = null): self
    {
        return new self(
            $headcount ?? $this->headcount, $revenue ?? $this->revenue, $this->growth, $this->sites, $this->industries,
            $this->country, $this->region, $this->postalCode, $this->place, $this->technologies, $this->text,
            $this->otherSites, $this->facts, $this->numbers,
        );
    }

    /** The text as folded words, made once; null where there is none. */
    public function line(): ?string
    {
        if ($this->text === null || trim($this->text) === '') {
            return null;
        }

        return $this->line ??= Fold::line($this->text);
    }
}
