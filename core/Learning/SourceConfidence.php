<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

/** How sure a source is, by what became of its signals that approaches rested on (rule 20). */
final class SourceConfidence
{
    /** What is set today counts as much as so many signals. */
    private const PRIOR = 10;

    /**
     * @param  float  $set  0–1, today
     * @param  int  $right  of them, those that were neither struck out nor contradicted by a result
     * @return float 0–1
     */
    public static function learned(float $set, int $right, int $of): float
    {
        return ($right + self::PRIOR * $set) / ($of + self::PRIOR);
    }
}
