<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/**
 * Words and pairs of words that are frequent in some texts and rare in the others: log-odds with an informative
 * Dirichlet prior (Monroe, Colaresi, Quinn 2008), each text counted once for a phrase.
 */
final class Phrases
{
    /** From here on a phrase is no accident, at 95 %. */
    public const SURE = 1.96;

    /** The weight of the prior, in texts. */
    private const PRIOR = 20.0;

    private const SHORTEST = 3;

    /** Words that join others and say nothing by themselves, in the languages of titles. */
    private const JOINING = [
        'the', 'and', 'for', 'with', 'from', 'our', 'are', 'that', 'this', 'into', 'und', 'der', 'die', 'das', 'den',
        'des', 'mit', 'fur', 'von', 'bei', 'och', 'med', 'som', 'til', 'van', 'het', 'een', 'voor', 'dla', 'oraz',
        'les', 'pour',
    ];

    /**
     * @param  list<string>  $here  folded lines (Fold::line)
     * @param  list<string>  $elsewhere
     * @return array<string, float> phrase → z, the most typical first; none below SURE, none in fewer than two texts
     */
    public static function typical(array $here, array $elsewhere, int $most = 12): array
    {
        $inHere = self::counted($here);
        $inOthers = self::counted($elsewhere);
        [$n, $m] = [count($here), count($elsewhere)];
        $typical = [];
        foreach ($inHere as $phrase => $count) {
            if ($count < 2) {
                continue;
            }
            $other = $inOthers[$phrase] ?? 0;
            $prior = self::PRIOR * ($count + $other) / max(1, $n + $m);
            $delta = self::logOdds($count + $prior, $n + self::PRIOR)
                - self::logOdds($other + $prior, $m + self::PRIOR);
            $z = $delta / sqrt(1 / ($count + $prior) + 1 / ($other + $prior));
            if ($z >= self::SURE) {
                $typical[(string) $phrase] = $z;
            }
        }
        arsort($typical);

        return array_slice(self::withoutParts($typical, $inHere), 0, $most, true);
    }

    private static function logOdds(float $count, float $of): float
    {
        return log($count / max($of - $count, .5));
    }

    /**
     * @param  list<string>  $lines
     * @return array<string, int> phrase → in how many of the texts
     */
    private static function counted(array $lines): array
    {
        $counts = [];
        foreach ($lines as $line) {
            $words = explode(' ', trim($line));
            $phrases = [];
            foreach ($words as $i => $word) {
                if (self::says($word)) {
                    $phrases[$word] = true;
                    if (isset($words[$i + 1]) && self::says($words[$i + 1])) {
                        $phrases[$word.' '.$words[$i + 1]] = true;
                    }
                }
            }
            foreach ($phrases as $phrase => $_) {
                $counts[$phrase] = ($counts[$phrase] ?? 0) + 1;
            }
        }

        return $counts;
    }

    private static function says(string $word): bool
    {
        return strlen($word) >= self::SHORTEST && ! ctype_digit($word) && ! in_array($word, self::JOINING, true);
    }

    /**
     * A word that stands in nearly as many texts as a pair with it says no more than the pair.
     *
     * @param  array<string, float>  $typical
     * @param  array<string, int>  $counts
     * @return array<string, float>
     */
    private static function withoutParts(array $typical, array $counts): array
    {
        foreach (array_keys($typical) as $pair) {
            foreach (str_contains((string) $pair, ' ') ? explode(' ', (string) $pair) : [] as $word) {
                if (isset($typical[$word]) && $counts[$pair] >= .9 * $counts[$word]) {
                    unset($typical[$word]);
                }
            }
        }

        return $typical;
    }
}
