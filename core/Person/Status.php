<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** Whether somebody holds the position that the title names (rule 7). On leave is current. */
enum Status: string
{
    case Current = 'current';
    case Acting = 'acting';
    case Former = 'former';
    case Assistant = 'assistant';
    case Board = 'board';

    /** Holds it now, for good or for a while. */
    public function holds(): bool
    {
        return $this === self::Current || $this === self::Acting;
    }
}
