<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/** What is known of an e-mail address (rule 5), or of a number: dead, or that several have it. */
enum AddressState: string
{
    case Valid = 'valid';
    case CatchAll = 'catch_all';
    case Unknown = 'unknown';
    case Guess = 'guess';
    case Invalid = 'invalid';
    case Disposable = 'disposable';
    case Off = 'off';
    case Shared = 'shared';

    private const BEST_GUESS = .9;

    /**
     * Chance 0–1 that the address works.
     *
     * @param  float|null  $guess  the chance of a pattern guess; without one it is taken as unknown
     */
    public function chance(?float $guess = null): float
    {
        return match ($this) {
            self::Valid => .98,
            self::CatchAll => .6,
            self::Unknown => .5,
            self::Guess => min(self::BEST_GUESS, $guess ?? .5),
            self::Invalid, self::Disposable, self::Off => 0.0,
            self::Shared => 1.0,
        };
    }

    public function isDead(): bool
    {
        return $this->chance(0) === 0.0 && $this !== self::Guess;
    }

    public function label(): string
    {
        return match ($this) {
            self::Valid => 'checked',
            self::CatchAll => 'catch-all',
            self::Unknown => 'not checked',
            self::Guess => 'guessed',
            self::Invalid => 'dead',
            self::Disposable => 'disposable',
            self::Off => 'switched off',
            self::Shared => 'shared mailbox',
        };
    }
}
