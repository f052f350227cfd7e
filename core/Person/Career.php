<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** The posts of one person, as seen from the account where they are now. */
final readonly class Career
{
    /** Longer away than this, and one has come back from elsewhere. */
    private const GAP = 180;

    /** @param  list<PositionHeld>  $earlier  the latest first */
    private function __construct(public ?PositionHeld $now, public array $earlier)
    {
    }

    /**
     * @param  iterable<PositionHeld>  $posts
     * @param  int  $account  where they are now
     */
    public static function at(int $account, iterable $posts): self
    {
        $now = null;
        $earlier = [];
        foreach ($posts as $post) {
            if ($post->until === null && $post->account === $account && ($now === null || ($post->since ?? 0) > ($now->since ?? 0))) {
                if ($now !== null) {
                    $earlier[] = $now;
                }
                $now = $post;
            } else {
                $earlier[] = $post;
            }
        }
        if ($now !== null) {
            $earlier = array_filter($earlier, static fn (PositionHeld $post): bool => $post->since === null || $now->since === null || $post->since < $now->since);
        }
        usort($earlier, static fn (PositionHeld $a, PositionHeld $b): int => ($b->until ?? $b->since ?? 0) <=> ($a->until ?? $a->since ?? 0));

        return new self($now, $earlier);
    }

    /** How they came to their present post; unknown where no earlier post is known. */
    public function arrival(): Arrival
    {
        $inside = $this->postBefore();
        if ($this->now === null || $this->earlier === []) {
            return Arrival::Unknown;
        }

        return match (true) {
            $inside === null => Arrival::Joined,
            $inside->title->seniority->rank() < $this->now->title->seniority->rank() => Arrival::Promoted,
            default => Arrival::Moved,
        };
    }

    /** The post at the same account that they came from. */
    public function postBefore(): ?PositionHeld
    {
        foreach ($this->earlier as $post) {
            if ($post->account === $this->now?->account && ($post->until === null || $this->now?->since === null || $post->until >= $this->now->since - self::GAP)) {
                return $post;
            }
        }

        return null;
    }

    /** Since when they have been at the account, through posts that follow each other; null where it is not known. */
    public function atAccountSince(): ?int
    {
        $since = $this->now?->since;
        foreach ($this->earlier as $post) {
            if ($since === null || $post->account !== $this->now?->account || ($post->until !== null && $post->until < $since - self::GAP)) {
                continue;
            }
            $since = min($since, $post->since ?? $since);
        }

        return $since;
    }
}
