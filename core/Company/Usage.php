<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/** One technology at one company, as visits and postings have shown it (rule 24). */
final class Usage
{
    private const WEEK = 7 * 86_400;

    private const SUREST = .97;

    public ?float $since = null;

    public ?float $lastSeen = null;

    /** @var list<float> days on which it appeared */
    public array $adopted = [];

    /** @var list<float> days on which it was told to be gone */
    public array $dropped = [];

    /** @var array<string, float> what showed it → how sure that is */
    private array $ways = [];

    /** The first of the visits without it since the last that showed it. */
    private ?float $missing = null;

    private bool $isOnPage = false;

    public function __construct(public readonly string $name)
    {
    }

    /** @param  list<Shown>  $by  none: the visit did not show it */
    public function visited(float $at, array $by): void
    {
        if ($by === []) {
            $this->missed($at);

            return;
        }
        // New where an earlier look found it missing, and it was not merely overlooked once.
        if (! $this->isOnPage && $this->missing !== null && $at - $this->missing >= self::WEEK) {
            $this->adopted[] = $at;
        }
        $this->missing = null;
        $this->isOnPage = true;
        $this->show($at, $by);
    }

    public function named(float $at): void
    {
        $this->show($at, [Shown::Posting]);
    }

    /** 0–1; several ways of showing it together */
    public function confidence(): float
    {
        $doubt = array_product(array_map(static fn (float $sure): float => 1 - $sure, $this->ways));

        return min(count($this->ways) > 1 ? self::SUREST : 1.0, 1 - $doubt);
    }

    /** @param  list<Shown>  $by */
    private function show(float $at, array $by): void
    {
        $this->since = min($this->since ?? $at, $at);
        $this->lastSeen = max($this->lastSeen ?? $at, $at);
        foreach ($by as $way) {
            $this->ways[$way->value] = $way->confidence();
        }
    }

    /** Gone at a visit a week or more after the first without it; in use all the same where it was named since. */
    private function missed(float $at): void
    {
        $this->missing ??= $at;
        if (! $this->isOnPage || $at - $this->missing < self::WEEK) {
            return;
        }
        $this->isOnPage = false;
        $this->dropped[] = $at;
        if ($this->lastSeen <= $this->missing) {
            $this->since = $this->lastSeen = null;
            $this->ways = [];
        }
    }
}
