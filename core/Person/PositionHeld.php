<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** A present or past position. Days are counted since 1970-01-01; null is unknown, for the last day also: not over. */
final readonly class PositionHeld
{
    /**
     * @param  int|null  $account  where, if that is an account
     * @param  bool  $byName  that account was found by its name only
     */
    public function __construct(
        public ?int $account,
        public string $text,
        public Title $title,
        public ?int $since,
        public ?int $until = null,
        public bool $byName = false,
    ) {
    }
}
