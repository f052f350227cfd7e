<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

use Luftig\Core\Mistake;

/**
 * The day's plan (rule 18): first, for at most a third of the day, what cannot wait three working days, by priority;
 * then by priority and half of what waiting would cost; last those who wait, in the order given. No account gets more
 * than rule 9 lets it have.
 */
final readonly class DayPlan
{
    private const HURRY = 3;

    private const SHARE = 3;

    /**
     * @param  list<int|string>  $taken  ids in order
     * @param  list<array{int|string, LeftOut}>  $leftOut  id, and which limit held it back
     */
    private function __construct(public array $taken, public array $leftOut)
    {
    }

    /**
     * @param  int  $today  days since 1970-01-01
     * @param  int  $day  pace: approaches a day, from 0
     * @param  int  $week  approaches a week
     * @param  list<PlanCandidate>  $candidates
     *
     * @throws Mistake where a pace is below 0
     */
    public static function of(
        int $today,
        int $day,
        int $week,
        int $usedToday,
        int $usedThisWeek,
        array $candidates,
    ): self {
        $pace = ['day' => $day, 'week' => $week, 'used_today' => $usedToday, 'used_week' => $usedThisWeek];
        foreach ($pace as $at => $n) {
            if ($n < 0) {
                throw Mistake::at("pace.$at", 'A pace is a number of approaches, from 0.');
            }
        }
        $ofDay = max(0, $day - $usedToday);
        $ofWeek = max(0, $week - $usedThisWeek);
        $left = min($ofDay, $ofWeek);
        $limit = $ofWeek < $ofDay ? LeftOut::WeekFull : LeftOut::DayFull;
        $ranked = array_filter($candidates, static fn (PlanCandidate $one): bool => $one->priority !== null);
        $by = self::workdaysAfter($today, self::HURRY);
        $hurried = array_filter(
            $ranked,
            static fn (PlanCandidate $one): bool => $one->actBy !== null && $one->actBy >= $today && $one->actBy <= $by,
        );
        usort($hurried, self::by(static fn (PlanCandidate $one): float => (float) $one->priority));
        usort($ranked, self::by(static fn (PlanCandidate $one): float => $one->score()));
        $waiting = array_filter($candidates, static fn (PlanCandidate $one): bool => $one->priority === null);
        $turns = [
            ...array_map(
                static fn (PlanCandidate $one): array => [$one, min($left, intdiv($day, self::SHARE))],
                $hurried,
            ),
            ...array_map(static fn (PlanCandidate $one): array => [$one, $left], [...$ranked, ...$waiting]),
        ];
        $taken = $leftOut = $ofAccount = [];
        foreach ($turns as [$one, $most]) {
            if (isset($taken[$one->id])) {
                continue;
            }
            $isFull = ($ofAccount[$one->account] ?? 0) + $one->approached >= $one->most;
            if ($isFull || count($taken) >= $most) {
                $leftOut[$one->id] = [$one->id, $isFull ? LeftOut::AccountFull : $limit];

                continue;
            }
            $taken[$one->id] = $one->id;
            $ofAccount[$one->account] = ($ofAccount[$one->account] ?? 0) + 1;
        }

        return new self(array_values($taken), array_values(array_diff_key($leftOut, $taken)));
    }

    /** The day so many working days after one. */
    public static function workdaysAfter(int $day, int $many): int
    {
        while ($many > 0) {
            $day++;
            // Day 0 was a Thursday.
            $many -= ($day + 4) % 7 % 6 === 0 ? 0 : 1;
        }

        return $day;
    }

    /**
     * @param  callable(PlanCandidate): float  $score
     * @return callable(PlanCandidate, PlanCandidate): int
     */
    private static function by(callable $score): callable
    {
        return static fn (PlanCandidate $a, PlanCandidate $b): int => [
            $score($b), $a->actBy ?? PHP_INT_MAX, (string) $a->id,
        ] <=> [$score($a), $b->actBy ?? PHP_INT_MAX, (string) $b->id];
    }
}
