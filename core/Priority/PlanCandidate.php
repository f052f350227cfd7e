<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

/** An approach that could be made today. */
final readonly class PlanCandidate
{
    /**
     * @param  float|null  $priority  0–100; null: its account waits
     * @param  float|null  $later  the priority in five working days; null: it will have none
     * @param  int|null  $actBy  its act-by day, in days since 1970-01-01; null: no hurry
     * @param  int  $approached  approaches of its account in the last 14 days
     * @param  int  $most  at one account at once (rule 9)
     */
    public function __construct(
        public int|string $id,
        public int|string $account,
        public ?float $priority,
        public ?float $later,
        public ?int $actBy,
        public int $approached,
        public int $most,
    ) {
    }

    /** What is lost by waiting counts half (rule 18). */
    public function score(): float
    {
        return (float) $this->priority + max(0.0, (float) $this->priority - (float) $this->later) / 2;
    }
}
