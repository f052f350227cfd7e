<?php

declare(strict_types=1);

namespace App\Finder;

use App\Support\AccountField;
use Luftig\Core\Search\Field;

/** Numbers in bands, by which they are counted and varied; in the units of a step's form. */
final class Bands
{
    /**
     * @return list<array{float|int|null, float|int|null, string}> from, to, and how it is called; a number on a bound
     *     belongs to the band below
     */
    public static function of(Field $field): array
    {
        // A number stands in one band only: the next begins a step of the index above.
        $step = match ($field) {
            Field::Fit, Field::Coverage, Field::Timing, Field::Access, Field::Growth => .001,
            Field::Priority => .1,
            Field::Revenue => 1000,
            Field::Headcount, Field::Sites, Field::Founded, Field::KnownContacts => 1,
            default => .04,
        };
        $bands = [];
        $from = $below = null;
        foreach (array_slice(self::bounds($field), 1) as $to) {
            $bands[] = [$from, $to, self::called($field, $step === 1 ? $from : $below, $to, $step === 1)];
            [$from, $below] = [($to ?? 0) + $step, $to];
        }

        return $bands;
    }

    /** @param  bool  $isWhole  whether the band begins with its lower number, and not above it */
    private static function called(Field $field, float|int|null $low, float|int|null $high, bool $isWhole): string
    {
        $shown = fn (float|int $number): string => match (true) {
            $field === Field::Growth => str_replace('-', '−', (string) round(100 * $number, 1)).' %',
            $number >= 10_000 => number_format($number / 1e6, fmod($number, 1e6) > 0 ? 1 : 0).' M',
            default => (string) $number,
        };

        return match (true) {
            $low === null => 'up to '.$shown($high ?? 0),
            $high === null => ($isWhole ? 'from ' : 'over ').$shown($low),
            default => $shown($low).' – '.$shown($high),
        };
    }

    /** @return list<float|int|null> where one band ends; open at both ends */
    private static function bounds(Field $field): array
    {
        return match ($field) {
            Field::Revenue => [null, 2e6, 1e7, 5e7, 2.5e8, null],
            Field::KnownContacts => [null, 0, 3, 10, null],
            Field::Fit, Field::Coverage, Field::Timing, Field::Access => [null, .2, .4, .6, .8, null],
            Field::Priority => [null, 20, 40, 60, 80, null],
            Field::NewestSignal, Field::LastApproach, Field::Engaged => [null, 1, 3, 6, 12, null],
            Field::InPosition, Field::InCompany => [null, 3, 6, 12, 36, null],
            Field::AtWork => [null, 24, 60, 120, 240, null],
            default => AccountField::boundsOf($field),
        };
    }
}
