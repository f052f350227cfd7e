<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

use Luftig\Core\Mistake;

/** How well two people know each other, 0–1 (rule 10). */
final class RelationStrength
{
    public const STUDIED = .25;

    public const ASSOCIATION = .10;

    public const TEAMMATE = .9;

    /** Nobody knows another better. */
    public const MOST = .95;

    private const MOST_AT_WORK = .8;

    /** Heads of a company whose size is unknown: between 50 and 249, as in rule 8, the middle of their logarithms. */
    private const HEADS = 112;

    /**
     * Somebody is in an address book.
     *
     * @param  int|null  $exchanges  how often they wrote or spoke; null and 0: not known to have
     * @param  float|null  $months  since the last of these, from 0; null: unknown, which adds nothing for being recent
     */
    public static function ofConnection(?int $exchanges = null, ?float $months = null): float
    {
        if (($exchanges ?? 0) < 0 || ($months ?? 0.0) < 0) {
            throw Mistake::at(
                ($exchanges ?? 0) < 0 ? 'exchanges' : 'months_since_last',
                'Exchanges and the months since the last of them count from 0.',
            );
        }
        if (($exchanges ?? 0) === 0) {
            return .30;
        }

        return .30 + ($months === null ? 0.0 : .25 * 2 ** (-$months / 24)) + .25 * (1 - 2 ** (-$exchanges / 5));
    }

    /**
     * They worked at a company at the same time.
     *
     * @param  float  $months  that both were there, from 0
     * @param  int|null  $headcount  of the company
     */
    public static function ofWorkingTogether(float $months, ?int $headcount, bool $sameFunction): float
    {
        if ($months < 0) {
            throw Mistake::at('months', 'Months that two people worked together count from 0.');
        }
        $strength = .7 * (1 - 2 ** (-$months / 18)) / (1 + log10(max($headcount ?? self::HEADS, 10) / 10) / 2);

        return min(self::MOST_AT_WORK, $sameFunction ? 1.25 * $strength : $strength);
    }

    /**
     * Several ways in which the same two know each other.
     *
     * @param  list<float>  $strengths
     */
    public static function together(array $strengths): float
    {
        return min(self::MOST, 1 - array_product(
            array_map(static fn (float $strength): float => 1 - $strength, $strengths),
        ));
    }
}
