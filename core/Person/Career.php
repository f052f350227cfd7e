<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** The positions of one person, as seen from the account where they are now. */
final readonly class Career
{
    /** Longer away than this, and one has come back from elsewhere. */
    private const GAP = 180;

    /** @param  list<PositionHeld>  $earlier  the latest first */
    private function __construct(public ?PositionHeld $now, public array $earlier)
    {
    }

    /**
     * @param  iterable<PositionHeld>  $positions
     * @param  int  $account  where they are now
     */
    public static function at(int $account, iterable $positions): self
    {
        $now = null;
        $earlier = [];
        foreach ($positions as $position) {
            if (
                $position->until === null
                && $position->account === $account
                && ($now === null || ($position->since ?? 0) > ($now->since ?? 0))
            ) {
                if ($now !== null) {
                    $earlier[] = $now;
                }
                $now = $position;
            } else {
                $earlier[] = $position;
            }
        }
        if ($now !== null) {
            $earlier = array_filter(
                $earlier,
                static fn (PositionHeld $position): bool => $position->since === null
                    || $now->since === null
                    || $position->since < $now->since,
            );
        }
        usort(
            $earlier,
            static fn (PositionHeld $a, PositionHeld $b): int => ($b->until ?? $b->since ?? 0)
                <=> ($a->until ?? $a->since ?? 0),
        );

        return new self($now, $earlier);
    }

    /** How they came to their present position; unknown where no earlier position is known. */
    public function arrival(): Arrival
    {
        $inside = $this->positionBefore();
        if ($this->now === null || $this->earlier === []) {
            return Arrival::Unknown;
        }

        return match (true) {
            $inside === null => Arrival::Joined,
            $inside->title->seniority->rank() < $this->now->title->seniority->rank() => Arrival::Promoted,
            default => Arrival::Moved,
        };
    }

    /** The position at the same account that they came from. */
    public function positionBefore(): ?PositionHeld
    {
        foreach ($this->earlier as $position) {
            if (
                $position->account === $this->now?->account
                && (
                    $position->until === null
                    || $this->now?->since === null
                    || $position->until >= $this->now->since - self::GAP
                )
            ) {
                return $position;
            }
        }

        return null;
    }

    /**
     * Since when they have been at the account, through positions that follow each other; null where it is not known.
     */
    public function atAccountSince(): ?int
    {
        $since = $this->now?->since;
        foreach ($this->earlier as $position) {
            if (
                $since === null
                || $position->account !== $this->now?->account
                || ($position->until !== null && $position->until < $since - self::GAP)
            ) {
                continue;
            }
            $since = min($since, $position->since ?? $since);
        }

        return $since;
    }
}
