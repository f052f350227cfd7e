<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

use Luftig\Core\Search\Wilson;

/**
 * How well a ranking told who would answer (rule 22): of all pairs of one who answered and one who did not, contacted
 * within the same 14 days, the share in which the one who answered stood higher, ties half; and the answers in each
 * fifth of the ranking.
 *
 * The interval is that of DeLong, DeLong and Clarke-Pearson (1988), with each approach's part taken over the pairs that
 * it is in, since not all pairs are asked; where all are, it is theirs.
 */
final readonly class LookBack
{
    private const DAYS = 14 * 86_400;

    /**
     * @param  int  $pairs  that could be compared
     * @param  float|null  $concordance  0–1; .5 tells nothing; null: no pair
     * @param  list<array{score: float, answered: int, of: int, low: float, high: float}>  $fifths  the best ranked
     *     first
     */
    private function __construct(
        public int $pairs,
        public ?float $concordance,
        public ?float $low,
        public ?float $high,
        public array $fifths,
    ) {
    }

    /**
     * @param  list<array{float, bool, float}>  $observations  when (Unix seconds), whether they answered, the score
     */
    public static function of(array $observations): self
    {
        $fifths = Fifths::of(array_map(static fn (array $one): array => [$one[2], $one[1]], $observations));
        usort($observations, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $won = $met = array_fill(0, count($observations), 0.0);
        $pairs = 0;
        foreach ($observations as $i => [$at, $answered, $score]) {
            for ($j = $i + 1; isset($observations[$j]) && $observations[$j][0] - $at <= self::DAYS; $j++) {
                if ($observations[$j][1] === $answered) {
                    continue;
                }
                $ahead = ($answered ? 1 : -1) * ($score <=> $observations[$j][2]);
                foreach ([$i, $j] as $one) {
                    $won[$one] += ($ahead + 1) / 2;
                    $met[$one]++;
                }
                $pairs++;
            }
        }
        if ($pairs === 0) {
            return new self(0, null, null, null, $fifths);
        }
        $share = array_sum($won) / (2 * $pairs);
        $variance = 0.0;
        foreach ([true, false] as $answered) {
            $of = array_filter(
                array_keys($observations),
                static fn (int $i): bool => $observations[$i][1] === $answered && $met[$i] > 0,
            );
            $sum = array_sum(array_map(static fn (int $i): float => ($won[$i] - $share * $met[$i]) ** 2, $of));
            $variance += count($of) > 1 ? $sum / $pairs ** 2 * count($of) / (count($of) - 1) : 0.0;
        }
        $by = Wilson::Z * sqrt($variance);

        return new self(
            $pairs, $share, max(0.0, $share - $by), min(1.0, $share + $by), $fifths,
        );
    }
}
