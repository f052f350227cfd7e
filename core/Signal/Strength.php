<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Text\Fold;

/** How much of it happened, 0–1, from the raw facts (rule 2, last column). */
final class Strength
{
    /** Under which a change of headcount is none. */
    public const LEAST_CHANGE = .03;

    private const LEAST_HEADS = 10;

    private const ROUNDS = [
        'pre-seed' => .8, 'seed' => .8, 'a' => 1.0, 'b' => .9, 'grant' => .6, 'debt' => .5, 'undisclosed' => .5,
    ];

    private const ROUND_WORDS = [
        'series', 'serie', 'round', 'runde', 'runda', 'ronde', 'financing', 'funding', 'tour', 'de', 'table',
    ];

    private const ENGAGEMENTS = [
        'wrote' => 1.0, 'commented' => .9, 'passed on' => .7, 'reacted' => .5,
        'event' => 1.0, 'answered' => 1.0, 'asked' => 1.0, 'follows' => .5, 'page' => .4,
    ];

    /**
     * @param  string|null  $round  pre-seed, seed, a letter, grant or debt; anything else is undisclosed
     * @param  float|null  $amount  EUR
     */
    public static function ofFunding(?string $round, ?float $amount, ?int $headcount): float
    {
        $round = self::round($round ?? '');
        $weight = self::ROUNDS[$round] ?? (preg_match('/^[c-z]$/', $round) === 1 ? .6 : .5);
        if ($amount === null || $amount <= 0 || $headcount === null || $headcount <= 0) {
            return $weight * .6;
        }

        return $weight * min(1.0, max(.3, log10($amount / $headcount / 1000) / 2));
    }

    /** A round as sources write it: Series A, A round, Round B, pre seed. */
    private static function round(string $text): string
    {
        $words = array_diff(Fold::words($text), self::ROUND_WORDS);

        return implode('-', $words === ['preseed'] ? ['pre', 'seed'] : $words);
    }

    /** @param  list<bool>  $openings one entry a distinct opening: whether title and text both match */
    public static function ofHiring(array $openings): float
    {
        $sum = array_sum(array_map(static fn (bool $both): float => $both ? 1.0 : .5, $openings));

        return 1 - .5 ** $sum;
    }

    /**
     * Growth or decline over 90 days; null where it is none (under 3 %, or an account under 10 heads).
     *
     * @param  int|null  $account  heads of the whole account, where it is one function that changes
     */
    public static function ofChange(int $before, int $after, ?int $account = null): ?float
    {
        $gained = abs($after - $before);
        if ($before < 1 || ($account ?? $before) < self::LEAST_HEADS || $gained / $before < self::LEAST_CHANGE) {
            return null;
        }

        return min(1.0, $gained / $before / .25) * min(1.0, $gained / 10);
    }

    /** @param  string  $deed wrote, commented, passed on, reacted; event, answered, asked, follows, page */
    public static function ofEngagement(string $deed): float
    {
        return self::ENGAGEMENTS[$deed] ?? .4;
    }

    public static function ofNews(bool $inHeadline): float
    {
        return $inHeadline ? 1.0 : .6;
    }

    /** @return list<string> */
    public static function engagements(): array
    {
        return array_keys(self::ENGAGEMENTS);
    }
}
