<?php

declare(strict_types=1);

namespace Luftig\Core\Likeness;

/** A company with how alike it is to the examples, and what made that (rule 14). */
final readonly class Alike
{
    /**
     * @param  float  $likeness  0–1
     * @param  float  $text  cosine, 0–1
     * @param  float  $industry  closeness, 0–1
     * @param  float  $size  closeness, 0–1
     * @param  list<string>  $phrases  shared, what says most first
     */
    public function __construct(
        public int|string $id,
        public float $likeness,
        public float $text,
        public float $industry,
        public float $size,
        public array $phrases,
    ) {
    }
}
