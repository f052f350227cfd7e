<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** How somebody came to a position. */
enum Arrival: string
{
    case Joined = 'joined';
    case Promoted = 'promoted';
    case Moved = 'moved';
    case Unknown = 'unknown';

    public function isInside(): bool
    {
        return $this === self::Promoted || $this === self::Moved;
    }

    public function label(): string
    {
        return match ($this) {
            self::Joined => 'joined from elsewhere',
            self::Promoted => 'promoted',
            self::Moved => 'moved inside the company',
            self::Unknown => 'new in the position',
        };
    }
}
