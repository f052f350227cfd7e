<?php

declare(strict_types=1);

namespace App\Finder;

use Luftig\Core\Search\Field;

/** What growth can be asked over: “6”, months of the whole account, and “6 maintenance”, of one function. */
final class Spans
{
    /** “over 6 months, in maintenance” */
    public static function says(string $which): string
    {
        [$months, $function] = explode(' ', "$which ", 2);

        return $which === '' ? 'over a year' : "over $months months"
            .(trim($function) === '' ? '' : ', in '.ValueLabel::of(Field::BusinessFunction, trim($function)));
    }

    /**
     * @param  list<string>  $spans  those of which there are figures
     * @return array<array-key, string> the whole account first, short spans first
     */
    public static function choices(array $spans): array
    {
        usort($spans, fn (string $a, string $b): int => [substr_count($a, ' '), strstr($a, ' '), (int) $a]
            <=> [substr_count($b, ' '), strstr($b, ' '), (int) $b]);
        $spans = ['', ...$spans];

        return array_combine($spans, array_map(self::says(...), $spans));
    }
}
