<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Mistake;

/** One line of a target profile (rule 4). The weight counts for *prefer* only. */
final readonly class Criterion
{
    public function __construct(
        public string $name,
        public Mode $mode,
        public Question $test,
        public float $weight = 1.0,
    ) {
        if ($mode === Mode::Prefer && (! is_finite($weight) || $weight <= 0)) {
            throw Mistake::at('weight', 'A weight is a number above 0.');
        }
    }
}
