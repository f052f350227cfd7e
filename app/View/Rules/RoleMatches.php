<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Support\Format;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\BuyerRole;
use Luftig\Core\Person\Title;
use Luftig\Core\Text\Fold;

/** Whom a buyer role finds among the contacts there are, whom it just misses, and titles that may be missing in it. */
final readonly class RoleMatches
{
    private const SHOWN = 8;

    /** So many contacts are looked at; the screen says so where there are more. */
    private const LOOKED_AT = 200_000;

    private const STEM = 6;

    /** How much more often than elsewhere a beginning of a word stands in titles that match. */
    private const LIFT = 3;

    /**
     * @param  list<array{string, int}>  $matches  title and number
     * @param  list<array{string, int, string}>  $misses  title, number, and why
     * @param  list<array{string, int}>  $suggestions  title and number
     */
    private function __construct(
        public int $found,
        public array $matches,
        public array $misses,
        public array $suggestions,
        public bool $partly,
    ) {
    }

    public static function of(BuyerRole $role): self
    {
        $last = (int) DB::table('contacts')->max('id');
        $rows = DB::select('SELECT title, reading, country, headcount_class, COUNT(*) AS n FROM (SELECT c.title,
            c.reading, p.country,
            CASE WHEN a.headcount < 50 THEN 49 WHEN a.headcount < 250 THEN 249 WHEN a.headcount < 1000 THEN 999
                WHEN a.headcount IS NULL THEN NULL ELSE 1000 END AS headcount_class
            FROM contacts c JOIN accounts a ON a.id = c.account_id LEFT JOIN places p ON p.account_id = a.id AND
                p.headquarters = 1 WHERE c.title IS NOT NULL AND c.merged_into IS NULL AND c.id > ?) AS seen GROUP BY
                1, 2, 3, 4', [$last - self::LOOKED_AT]);
        $matches = $misses = $why = $rest = [];
        foreach ($rows as $row) {
            $title = Title::unpacked($row->reading);
            $finds = $role->finds($row->title, $row->country);
            $match = $finds === true ? 1.0 : $role->match($title, $row->headcount_class);
            if ($finds !== false && $match >= 1 && $title->status->holds()) {
                $matches[$row->title] = ($matches[$row->title] ?? 0) + $row->n;

                continue;
            }
            $miss = match (true) {
                $finds === false => 'excluded',
                ! $title->status->holds() && ($title->functions & $role->functions) !== 0 => $title->status->value,
                $match >= .4 => 'counts '.Format::part($match),
                default => null,
            };
            if ($miss !== null) {
                $misses[$row->title] = ($misses[$row->title] ?? 0) + $row->n;
                $why[$row->title] = $miss;
            } elseif ($title->functions === 0 && $title->status->holds()) {
                $rest[$row->title] = ($rest[$row->title] ?? 0) + $row->n;
            }
        }
        arsort($matches);
        arsort($misses);

        return new self(
            array_sum($matches),
            self::top($matches),
            array_map(fn (array $row): array => [...$row, $why[$row[0]]], self::top($misses)),
            self::top(self::suggest($matches, $rest)),
            $last > self::LOOKED_AT,
        );
    }

    /**
     * Titles of which nobody knows the function: first those whose words begin as in titles that match, then the most
     * frequent.
     *
     * @param  array<array-key, int>  $matches
     * @param  array<array-key, int>  $rest
     * @return array<array-key, int>
     */
    private static function suggest(array $matches, array $rest): array
    {
        $in = self::stems($matches);
        $out = self::stems($rest);
        [$all, $other] = [max(1, array_sum($matches)), max(1, array_sum($rest))];
        $telling = array_filter(
            $in,
            fn (int $n, string $stem): bool => $n / $all > self::LIFT * ($out[$stem] ?? 0) / $other,
            ARRAY_FILTER_USE_BOTH,
        );
        arsort($rest);
        $akin = array_filter(
            $rest,
            fn (int|string $title): bool => array_intersect_key(self::stems([$title => 1]), $telling) !== [],
            ARRAY_FILTER_USE_KEY,
        );

        return $akin + $rest;
    }

    /**
     * @param  array<array-key, int>  $titles
     * @return array<string, int> beginnings of their longer words, and how often
     */
    private static function stems(array $titles): array
    {
        $stems = [];
        foreach ($titles as $title => $n) {
            foreach (Fold::words((string) $title) as $word) {
                if (strlen($word) >= self::STEM) {
                    $stem = substr($word, 0, self::STEM);
                    $stems[$stem] = ($stems[$stem] ?? 0) + $n;
                }
            }
        }

        return $stems;
    }

    /**
     * @param  array<array-key, int>  $titles
     * @return list<array{string, int}>
     */
    private static function top(array $titles): array
    {
        $top = array_slice($titles, 0, self::SHOWN, true);

        return array_map(fn (int|string $title, int $n): array => [(string) $title, $n], array_keys($top), $top);
    }
}
