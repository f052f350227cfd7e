<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Mistake;

/** Not farther than a number of km from a place, great circle. */
final readonly class Within implements Question
{
    public function __construct(public Coordinates $centre, public float $km)
    {
        if (! is_finite($km) || $km <= 0) {
            throw Mistake::at('within', 'A radius is a number of km above 0.');
        }
    }

    public function membership(AccountFacts $account, bool $gate): ?float
    {
        return $account->place === null ? null : (float) ($this->centre->distanceTo($account->place) <= $this->km);
    }
}
