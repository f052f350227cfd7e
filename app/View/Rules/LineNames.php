<?php

declare(strict_types=1);

namespace App\View\Rules;

use Luftig\Core\Signal\Kind;

/** What the lines of an account's points are called where they are set or learned. */
final class LineNames
{
    public const ALL = [
        'start' => 'Every account starts at', 'fit' => 'Fits wholly', 'access' => 'Reachable for sure',
        'fit_above_half' => 'A fit above a half, more', 'reachable' => 'Reachable at all',
        'whatever_the_fit' => 'Signals, whatever the fit',
    ];

    /** @param  string  $line  one of them, or a kind of signal */
    public static function of(string $line): string
    {
        return self::ALL[$line] ?? ucfirst(Kind::from($line)->label());
    }
}
