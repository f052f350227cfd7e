<?php

declare(strict_types=1);

namespace App\Models;

/** What became of a request for an introduction. */
enum AskState: string
{
    case Asked = 'asked';
    case Agreed = 'agreed';
    case PassedOn = 'passed_on';
    case Declined = 'declined';
    case NoAnswer = 'no_answer';

    public function label(): string
    {
        return match ($this) {
            self::Asked => 'asked',
            self::Agreed => 'agreed',
            self::PassedOn => 'passed on',
            self::Declined => 'declined',
            self::NoAnswer => 'no answer',
        };
    }

    /** @return list<self> what an introducer can answer */
    public static function answers(): array
    {
        return [self::Agreed, self::PassedOn, self::Declined];
    }
}
