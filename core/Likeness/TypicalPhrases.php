<?php

declare(strict_types=1);

namespace Luftig\Core\Likeness;

use Luftig\Core\Text\Grams;

/**
 * Words, pairs and triples that are frequent in some texts and rare in the others: log-odds with an informative
 * Dirichlet prior (Monroe, Colaresi, Quinn 2008), each text counted once for a phrase (rule 14).
 */
final class TypicalPhrases
{
    /** From here on a phrase is no accident, at 95 %. */
    public const SURE = 1.96;

    /** In fewer texts it is no pattern. */
    private const LEAST = 2;

    /** The weight of the prior, in texts; of few texts it is no more than a part. */
    private const PRIOR = 20.0;

    private const PART = 1 / 3;

    /** @return list<TypicalPhrase> the most typical first */
    public static function of(Frequencies $here, Frequencies $elsewhere, int $most = 12): array
    {
        [$n, $m] = [$here->texts, $elsewhere->texts];
        $weight = min(self::PRIOR, self::PART * ($n + $m));
        $typical = [];
        foreach ($here->in as $phrase => $count) {
            if ($count < self::LEAST) {
                continue;
            }
            $other = $elsewhere->in[$phrase] ?? 0;
            $prior = $weight * ($count + $other) / max(1, $n + $m);
            $delta = self::logOdds($count + $prior, $n + $weight)
                - self::logOdds($other + $prior, $m + $weight);
            $z = $delta / sqrt(1 / ($count + $prior) + 1 / ($other + $prior));
            if ($z >= self::SURE) {
                $typical[(string) $phrase] = $z;
            }
        }
        // Of two alike the longer one says more.
        uksort($typical, static fn (string $a, string $b): int => [$typical[$b], strlen($b), $a]
            <=> [$typical[$a], strlen($a), $b]);
        $phrases = [];
        foreach (array_slice(Grams::withoutParts($typical, $here->in), 0, $most, true) as $phrase => $z) {
            $phrases[] = new TypicalPhrase((string) $phrase, $z, $here->in[$phrase]);
        }

        return $phrases;
    }

    private static function logOdds(float $count, float $of): float
    {
        return log($count / max($of - $count, .5));
    }
}
