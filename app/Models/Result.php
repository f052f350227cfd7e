<?php

declare(strict_types=1);

namespace App\Models;

/** What came of an approach (rule 19). */
enum Result: string
{
    case Interested = 'interested';
    case Meeting = 'meeting';
    case Later = 'later';
    case No = 'no';
    case WrongPerson = 'wrong_person';
    case Left = 'left';
    case Bounced = 'bounced';
    case Silent = 'silent';
    case Stop = 'stop';

    public function label(): string
    {
        return match ($this) {
            self::Interested => 'interested',
            self::Meeting => 'meeting',
            self::Later => 'later',
            self::No => 'no',
            self::WrongPerson => 'wrong person',
            self::Left => 'left the position',
            self::Bounced => 'bounced',
            self::Silent => 'silent',
            self::Stop => 'stop',
        };
    }
}
