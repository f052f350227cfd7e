<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Mistake;

/** Something dated that happened. Times are Unix seconds, strength and confidence 0–1. */
final readonly class Signal
{
    public function __construct(
        public int|string $id,
        public Kind $kind,
        public float $at,
        public float $strength,
        public float $confidence,
        public ?float $since = null,
    ) {
        if ($strength < 0 || $strength > 1) {
            throw Mistake::at('strength', 'A strength lies between 0 and 1.');
        }
        if ($confidence < 0 || $confidence > 1) {
            throw Mistake::at('confidence', 'A confidence lies between 0 and 1.');
        }
    }
}
