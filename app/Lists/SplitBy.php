<?php

declare(strict_types=1);

namespace App\Lists;

use Luftig\Core\Search\Subject;

/** What makes the parts of a list. */
enum SplitBy: string
{
    case Country = 'country';
    case Region = 'region';
    case City = 'city';
    case Industry = 'industry';
    case Headcount = 'headcount';
    case BusinessFunction = 'function';
    case Channel = 'channel';
    case Evenly = 'evenly';

    /** @return list<self> those that a list of the subject can be split by */
    public static function of(Subject $subject): array
    {
        return array_values(array_filter(
            self::cases(),
            fn (self $by): bool => $subject === Subject::Contacts
                || ! in_array($by, [self::BusinessFunction, self::Channel], true),
        ));
    }

    public function label(): string
    {
        return match ($this) {
            self::Headcount => 'headcount band',
            self::Channel => 'best channel',
            default => $this->value,
        };
    }
}
