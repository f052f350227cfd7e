<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** How many heads there are by the latest month, and how far that went up over 3, 6 and 12 months. */
final readonly class Trend
{
    /** In months. */
    public const SPANS = [3, 6, 12];

    /** @param  array<int, float>  $changes  months → change as a fraction; absent where too little is known */
    private function __construct(public int $heads, public array $changes)
    {
    }

    /** @return self|null null where no month is known */
    public static function of(Headcounts $counts): ?self
    {
        $latest = $counts->latest();
        if ($latest === null) {
            return null;
        }
        $changes = [];
        foreach (self::SPANS as $months) {
            $changes[$months] = $counts->change($months);
        }

        return new self(
            (int) $counts->heads($latest),
            array_filter($changes, static fn (?float $change): bool => $change !== null),
        );
    }
}
