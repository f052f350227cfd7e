<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

use Luftig\Core\Mistake;

/** What a service could find of somebody, and what that would be worth (rule 23). */
final readonly class LookUp
{
    /**
     * @param  float  $price  credits, above 0
     * @param  float  $chance  that the service finds it, 0–1
     * @param  float  $now  priority of the account, 0–100
     * @param  float  $with  its priority with what is found
     * @param  float  $share  of a day's plan that the account would enter, 0–1
     *
     * @throws Mistake where a price is not above 0
     */
    public function __construct(
        public int|string $id,
        public string $service,
        public float $price,
        public float $chance,
        public float $now,
        public float $with,
        public float $share,
    ) {
        if ($price <= 0) {
            throw Mistake::at('price', 'A look-up costs something: its price lies above 0.');
        }
    }

    /**
     * Of a fact that is not known: what the priority would change by, either way, in the mean of what it could be.
     *
     * @param  non-empty-list<float>  $couldBe  the priority at each value that the fact could have
     */
    public static function ofFact(
        int|string $id,
        string $service,
        float $price,
        float $chance,
        float $now,
        array $couldBe,
        float $share,
    ): self {
        $changes = array_map(static fn (float $priority): float => abs($priority - $now), $couldBe);

        return new self($id, $service, $price, $chance, $now, $now + array_sum($changes) / count($changes), $share);
    }

    public function gain(): float
    {
        return $this->chance * ($this->with - $this->now) * $this->share;
    }

    public function perCredit(): float
    {
        return $this->gain() / $this->price;
    }

    /** The chance that a service finds somebody like them, by its record: (found + 1) / (asked + 2). */
    public static function chance(int $found, int $asked): float
    {
        return ($found + 1) / ($asked + 2);
    }
}
