<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/** A way from one person to another through those who know each other. */
final readonly class IntroPath
{
    /**
     * @param  list<int|string>  $people  from the one to the other
     * @param  float  $strength  0–1
     */
    public function __construct(public array $people, public float $strength)
    {
    }

    /** Who would introduce: the second person, where there is one between. */
    public function introducer(): int|string|null
    {
        return count($this->people) > 2 ? $this->people[1] : null;
    }
}
