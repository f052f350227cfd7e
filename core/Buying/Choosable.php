<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

/** A contact as rule 9 looks at it. */
final readonly class Choosable
{
    /**
     * @param  float|null  $priority  0–100; null: not eligible
     * @param  int  $functions  a set
     * @param  bool  $reachable  has a channel or a path
     * @param  bool  $held  until the answers of a trial are in
     * @param  bool  $about  the account's strongest live signal is about them, and they are eligible with a match of .4
     *     or more
     */
    public function __construct(
        public int|string $id,
        public ?float $priority,
        public ?Part $part,
        public int $functions = 0,
        public bool $reachable = true,
        public bool $keptOut = false,
        public bool $reserved = false,
        public ?float $approachedDaysAgo = null,
        public bool $held = false,
        public bool $about = false,
    ) {
    }
}
