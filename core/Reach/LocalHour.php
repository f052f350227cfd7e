<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

use Luftig\Core\Mistake;

/** What day and time it is where a contact works. */
final readonly class LocalHour
{
    /** Minutes of the day between which somebody at work picks up a phone. */
    private const WORK = [[8 * 60, 12 * 60], [13 * 60, 17 * 60]];

    private const FRIDAY = 5;

    private const SUNDAY = 7;

    private const DAY = 24 * 60;

    /**
     * @param  int  $weekday  1 (Monday) to 7
     * @param  int  $minute  of the day, 0–1439
     *
     * @throws Mistake where there is no such day or minute
     */
    public function __construct(public int $weekday, public int $minute)
    {
        if ($weekday < 1 || $weekday > self::SUNDAY || $minute < 0 || $minute >= self::DAY) {
            throw Mistake::at('hour', 'A day of the week is 1 to 7, a minute of the day 0 to 1,439.');
        }
    }

    /** Working hours, without the hour around noon. */
    public function isForCalls(): bool
    {
        foreach (self::WORK as [$from, $until]) {
            if ($this->weekday <= self::FRIDAY && $this->minute >= $from && $this->minute < $until) {
                return true;
            }
        }

        return false;
    }

    /** Minutes until somebody picks up; 0: they do now. */
    public function untilCalls(): int
    {
        $minutes = 0;
        $at = $this;
        while (! $at->isForCalls()) {
            $next = array_filter(
                array_column(self::WORK, 0),
                static fn (int $from): bool => $at->weekday <= self::FRIDAY && $from > $at->minute,
            );
            $to = $next === [] ? self::DAY : min($next);
            $minutes += $to - $at->minute;
            $at = $to === self::DAY ? new self($at->weekday % self::SUNDAY + 1, 0) : new self($at->weekday, $to);
        }

        return $minutes;
    }
}
