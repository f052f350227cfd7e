<?php

declare(strict_types=1);

namespace App\View\Feeds;

/** How often a feed can be asked. */
final class Rhythms
{
    private const ALL = [
        5 => 'every 5 minutes', 15 => 'every quarter of an hour', 30 => 'every half hour', 60 => 'every hour',
        360 => 'every 6 hours', 1440 => 'once a day',
    ];

    /** @return array<int, string> minutes → words */
    public static function all(): array
    {
        return self::ALL;
    }

    public static function of(int $minutes): string
    {
        return self::ALL[$minutes] ?? "every $minutes minutes";
    }
}
