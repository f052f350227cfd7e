<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

/** An angle that holds for somebody, and what it rests on. */
final readonly class Holding
{
    /**
     * @param  list<int|string>  $restsOn  signals
     * @param  list<array{string, string}>  $facts
     */
    public function __construct(
        public int|string $angle,
        public float $weight,
        public array $restsOn,
        public array $facts,
    ) {
    }
}
