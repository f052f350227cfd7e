<?php

declare(strict_types=1);

namespace App\Lists;

use Luftig\Core\Search\Subject;

/** What makes the parts of a list. */
enum SplitBy: string
{
    case Country = 'country';
    case Headcount = 'headcount';
    case BusinessFunction = 'function';
    case Evenly = 'evenly';

    /** @return list<self> those that a list of the subject can be split by */
    public static function of(Subject $subject): array
    {
        return $subject === Subject::Contacts ? self::cases() : [self::Country, self::Headcount, self::Evenly];
    }

    public function label(): string
    {
        return match ($this) {
            self::Headcount => 'headcount band',
            default => $this->value,
        };
    }
}
