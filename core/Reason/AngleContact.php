<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

/** Somebody as angles look at them. */
final readonly class AngleContact
{
    /**
     * @param  float|null  $positionDays  in their position; null: unknown
     * @param  list<AngleSignal>  $signals
     * @param  list<array{string, string}>  $facts  type and value
     */
    public function __construct(
        public int|string $id,
        public ?float $positionDays,
        public array $signals,
        public array $facts = [],
    ) {
    }
}
