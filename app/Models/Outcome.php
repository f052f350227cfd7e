<?php

declare(strict_types=1);

namespace App\Models;

/** What came of asking for somebody's address, or for a figure of a company. */
enum Outcome: string
{
    case Waiting = 'waiting';
    case Found = 'found';
    case Doubtful = 'doubtful';
    case Nothing = 'nothing';
    case Failed = 'failed';
    case Skipped = 'skipped';

    /** @param  bool  $isFigure  which nobody checks */
    public function label(bool $isFigure = false): string
    {
        return match ($this) {
            self::Found => $isFigure ? 'found' : 'found and checked',
            self::Waiting => 'to be asked for',
            self::Doubtful => 'found, doubtful',
            self::Nothing => 'nobody knows one',
            self::Failed => 'a service failed',
            self::Skipped => 'not asked for',
        };
    }
}
