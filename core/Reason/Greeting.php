<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

/** How words begin: with somebody's first name, or with nobody's. */
final readonly class Greeting
{
    private const GREETED = '/^\s*(?:Hello|Hej) ([^,\n]{1,60}),/u';

    public static function of(?string $firstName): string
    {
        return $firstName === null || $firstName === '' ? 'Hello,' : "Hello $firstName,";
    }

    /** Whom words greet; null: nobody, or in another way. */
    public static function readFrom(string $words): ?string
    {
        return preg_match(self::GREETED, $words, $found) === 1 ? $found[1] : null;
    }
}
