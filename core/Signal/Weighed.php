<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/**
 * A signal with what it adds now, and all that made it: push = sign · weight · worth · freshness · novelty · 0.5^place
 * (rule 3). `worth` is strength × confidence; `place` counts from 0 within its kind and is null where nothing is
 * pushed; `share` is null for a drag.
 */
final readonly class Weighed
{
    public function __construct(
        public int|string $id,
        public Kind $kind,
        public float $at,
        public Stage $stage,
        public float $weight,
        public float $worth,
        public float $freshness,
        public float $novelty,
        public ?int $place,
        public float $push,
        public ?float $share,
    ) {
    }
}
