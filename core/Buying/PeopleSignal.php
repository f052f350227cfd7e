<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

use Luftig\Core\Person\PositionHeld;
use Luftig\Core\Signal\Kind;

/** A signal that follows from somebody's positions. */
final readonly class PeopleSignal
{
    /**
     * @param  int  $day  since 1970-01-01
     * @param  float  $strength  0–1
     * @param  float  $confidence  0–1
     * @param  PositionHeld|null  $from  the position they came from
     */
    public function __construct(
        public Kind $kind,
        public int $day,
        public float $strength,
        public float $confidence,
        public ?PositionHeld $from,
    ) {
    }
}
