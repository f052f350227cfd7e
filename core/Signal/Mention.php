<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** That an item is about an account, and how sure that is (rule 25). */
final readonly class Mention
{
    private const TAKEN = .6;

    private const DOUBTFUL = .3;

    /**
     * @param  float  $confidence  above 0, up to 1
     * @param  string  $because  a sentence
     * @param  bool  $inTitle  whether the headline names it
     */
    public function __construct(
        public int|string $id,
        public float $confidence,
        public string $because,
        public bool $inTitle = false,
    ) {
    }

    public function verdict(): Aboutness
    {
        return match (true) {
            $this->confidence >= self::TAKEN - 1e-9 => Aboutness::Taken,
            $this->confidence >= self::DOUBTFUL - 1e-9 => Aboutness::ToDecide,
            default => Aboutness::Dropped,
        };
    }
}
