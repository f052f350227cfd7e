<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

use Luftig\Core\Search\Wilson;

/** Answers in each fifth of a ranking, with Wilson's intervals (rules 20 and 22). */
final class Fifths
{
    private const PARTS = 5;

    /**
     * @param  list<array{float, bool}>  $scored  score, and whether they answered
     * @return list<array{score: float, answered: int, of: int, low: float, high: float}> the best ranked first; the
     *     score is the mean of the fifth
     */
    public static function of(array $scored): array
    {
        usort($scored, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $fifths = [];
        $count = count($scored);
        for ($part = 0; $part < self::PARTS && $count > 0; $part++) {
            $from = intdiv($part * $count, self::PARTS);
            $own = array_slice($scored, $from, intdiv(($part + 1) * $count, self::PARTS) - $from);
            $answered = count(array_filter($own, static fn (array $one): bool => $one[1]));
            [$low, $high] = Wilson::interval($answered, count($own));
            $fifths[] = [
                'score' => array_sum(array_column($own, 0)) / max(1, count($own)), 'answered' => $answered,
                'of' => count($own), 'low' => $low, 'high' => $high,
            ];
        }

        return $fifths;
    }
}
