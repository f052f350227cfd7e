<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

/** How well an account suits an offer, and how sure that is (rule 4). All numbers 0–1. */
final readonly class Fit
{
    /**
     * @param  float  $low  the fit if every unknown spoke against it
     * @param  float  $high  the fit if every unknown spoke for it
     * @param  string|null  $out  the first gate that it fails
     * @param  list<string>  $unverified  gates of which nothing is known
     * @param  list<float|null>  $memberships  in the order of the criteria; null: unknown
     */
    public function __construct(
        public float $value,
        public float $coverage,
        public float $low,
        public float $high,
        public ?string $out,
        public array $unverified,
        public array $memberships,
    ) {
    }
}
