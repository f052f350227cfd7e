<?php

declare(strict_types=1);

namespace App\Models;

/** What became of what a feed brought. */
enum ItemState: string
{
    case New = 'new';
    case Taken = 'taken';
    case Waiting = 'waiting';
    case Dropped = 'dropped';
    case Refused = 'refused';

    public function label(): string
    {
        return match ($this) {
            self::New => 'not looked at yet',
            self::Taken => 'taken',
            self::Waiting => 'to decide',
            self::Dropped => 'about nobody in the base',
            self::Refused => 'refused',
        };
    }
}
