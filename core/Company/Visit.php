<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/** A look at a company's pages. */
final readonly class Visit
{
    /**
     * @param  float  $at  Unix seconds
     * @param  bool  $reached  whether the page was there; one that was not says nothing
     * @param  list<array{string, Shown}>  $found  technologies, and what showed each
     */
    public function __construct(public float $at, public bool $reached, public array $found)
    {
    }
}
