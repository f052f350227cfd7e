<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

/** Why somebody is not to be contacted now (rule 9). */
enum Skip: string
{
    case NotEligible = 'not_eligible';
    case KeptOut = 'kept_out';
    case Reserved = 'reserved';
    case Held = 'held';
    case Approached = 'approached';
    case NoWay = 'no_way';
    case Below20 = 'below_20';
    case AccountFull = 'account_full';

    public function label(): string
    {
        return match ($this) {
            self::NotEligible => 'takes no part in buying',
            self::KeptOut => 'kept out',
            self::Reserved => 'reserved by a colleague',
            self::Held => 'held until a trial has its answers',
            self::Approached => 'approached in the last 30 days',
            self::NoWay => 'neither a channel nor a path',
            self::Below20 => 'priority under 20',
            self::AccountFull => 'enough people of this account',
        };
    }
}
