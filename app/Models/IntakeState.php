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

    /** @return list<self> where something is still to be done, by a worker or by a person */
    public static function open(): array
    {
        return [self::Queued, self::Running, self::Stopped, self::Undoing];
    }

    /** Taking back goes to its end. */
    public function canBeStopped(): bool
    {
        return $this === self::Queued || $this === self::Running;
    }

    public function canGoOn(): bool
    {
        return $this === self::Stopped;
    }

    /** Whether it is told how far it is. */
    public function hasProgress(): bool
    {
        return $this->canBeStopped() || $this->canGoOn();
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
