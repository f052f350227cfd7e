<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** Heads by month, of a whole account or of one function in it. */
final readonly class Headcounts
{
    /** Months that a change is told over (rule 2: 90 days). */
    public const SPAN = 3;

    /**
     * @param  array<string, int>  $months  “2026-11” → heads, 0 or more
     */
    public function __construct(private array $months)
    {
    }

    /** @return string|null the latest month that is known */
    public function latest(): ?string
    {
        return $this->months === [] ? null : max(array_keys($this->months));
    }

    public function heads(string $month): ?int
    {
        return $this->months[$month] ?? null;
    }

    /**
     * How far the heads went up over so many months, as a fraction; below 0 they went down.
     *
     * @return float|null null where one of the two months is not known, or there was nobody: it is not guessed
     */
    public function change(int $months, ?string $until = null): ?float
    {
        $until ??= $this->latest();
        $before = $until === null ? null : $this->heads(self::before($until, $months));
        $after = $until === null ? null : $this->heads($until);

        return $before === null || $after === null || $before === 0 ? null : ($after - $before) / $before;
    }

    /**
     * Since which month the heads have gone the way that they go now, month after month (over 90 days each time).
     *
     * @param  bool  $up  up, or down
     */
    public function since(bool $up, string $until): string
    {
        $since = $month = $until;
        while (($up ? 1 : -1) * ($this->change(self::SPAN, $month) ?? 0.0) >= Strength::LEAST_CHANGE) {
            $since = $month;
            $month = self::before($month, 1);
        }

        return $since;
    }

    public static function before(string $month, int $months): string
    {
        [$year, $number] = array_map(intval(...), explode('-', $month));
        $at = 12 * $year + $number - 1 - $months;

        return sprintf('%04d-%02d', intdiv($at, 12), $at % 12 + 1);
    }
}
