<?php

declare(strict_types=1);

namespace App\Models;

/** How far an intake got. */
enum IntakeState: string
{
    case Draft = 'draft';
    case Queued = 'queued';
    case Running = 'running';
    case Stopped = 'stopped';
    case Done = 'done';
    case Undoing = 'undoing';
    case Undone = 'undone';

    public function isMoving(): bool
    {
        return $this === self::Queued || $this === self::Running || $this === self::Undoing;
    }

    public function label(): string
    {
        return match ($this) {
            self::Draft => 'waiting for you to check the columns',
            self::Queued => 'about to begin',
            self::Running => 'being brought in',
            self::Stopped => 'stopped half-way; can be continued or undone',
            self::Done => 'brought in',
            self::Undoing => 'being undone',
            self::Undone => 'undone',
        };
    }
}
