<?php

declare(strict_types=1);

namespace Luftig\Core\Likeness;

use Luftig\Core\Company\IndustryTree;

/**
 * How close two companies are, 0–1 (rules 14 and 21). Closeness in the tree of industries is how deep the two lie
 * together: section ¼, division ½, group ¾, class 1; the closest pair of their industries counts. Closeness of
 * headcounts falls with the logarithm, from 1 where they are equal to 0 where one is ten times the other. What is not
 * known of one of the two counts half.
 */
final class Closeness
{
    private const UNKNOWN = .5;

    private const DEPTH = 4;

    /**
     * @param  list<string>  $ones  ISIC codes
     * @param  list<string>  $others
     */
    public static function inTree(array $ones, array $others): float
    {
        if ($ones === [] || $others === []) {
            return self::UNKNOWN;
        }
        $closest = 0.0;
        foreach ($ones as $one) {
            foreach ($others as $other) {
                $closest = max($closest, $one === $other ? 1.0 : self::common($one, $other) / self::DEPTH);
            }
        }

        return $closest;
    }

    public static function inHeads(?int $one, ?int $other): float
    {
        if ($one === null || $other === null) {
            return self::UNKNOWN;
        }

        return max(0.0, 1 - abs(log10(max(1, $one) / max(1, $other))));
    }

    private static function common(string $one, string $other): int
    {
        $shared = array_intersect(IndustryTree::path($one), IndustryTree::path($other));
        $deepest = $shared === [] ? '' : reset($shared);

        // A section is a letter, and not the first of the digits.
        return $deepest === '' ? 0 : (ctype_alpha($deepest) ? 1 : strlen($deepest));
    }
}
