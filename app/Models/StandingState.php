<?php

declare(strict_types=1);

namespace App\Models;

/** Where an account stands for an offer (rule 6). */
enum StandingState: string
{
    case Ranked = 'ranked';
    case Waiting = 'waiting';
    case Out = 'out';
    case KeptOut = 'kept_out';

    /** Whether nobody there is to be approached (rules 6 and 9). */
    public function isOut(): bool
    {
        return $this === self::Out || $this === self::KeptOut;
    }

    public function label(): string
    {
        return match ($this) {
            self::Ranked => 'Ranked',
            self::Waiting => 'Waiting',
            self::Out => 'Out',
            self::KeptOut => 'Kept out',
        };
    }
}
