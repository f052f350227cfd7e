<?php

declare(strict_types=1);

namespace App\Models;

/** What came of asking for somebody's address. */
enum Outcome: string
{
    case Waiting = 'waiting';
    case Found = 'found';
    case Doubtful = 'doubtful';
    case Nothing = 'nothing';
    case Failed = 'failed';
    case Skipped = 'skipped';

    public function label(): string
    {
        return match ($this) {
            self::Waiting => 'to be asked for',
            self::Found => 'found and checked',
            self::Doubtful => 'found, doubtful',
            self::Nothing => 'nobody knows one',
            self::Failed => 'a service failed',
            self::Skipped => 'not asked for',
        };
    }
}
