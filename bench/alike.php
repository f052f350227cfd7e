<?php

declare(strict_types=1);

/* More like the best ones: lookalikes of five, typical phrases of forty, beside the database's own search. */

use App\Alike\AlikeTo;
use App\Alike\Postings;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

function alike(int $accounts, int $words = 200): void
{
    Cache::flush();
    said($accounts, $words);
    $built = seconds(fn () => Postings::build());
    limit('Seconds to gather what accounts say', $built, 60);
    $times = $typical = $theirs = [];
    DB::statement('ALTER TABLE accounts ADD FULLTEXT INDEX bench_words (description)');
    for ($i = 0; $i < 25; $i++) {
        $of = fn (int $n): string => (string) (1 + ($i * 997 + $n * 101) % $accounts);
        $examples = array_map(fn (int $n): string => $of(40 * $n), range(1, 5));
        $times[] = seconds(fn () => AlikeTo::from($examples, [], 50)->results());
        if ($i < 9) {
            $forty = array_map($of, range(1, 40));
            $typical[] = seconds(fn () => AlikeTo::from($forty)->phrases(30));
        }
        if ($i < 1) {
            $text = (string) DB::table('accounts')->whereIn('id', $examples)->pluck('description')->implode(' ');
            $theirs[] = seconds(fn () => DB::table('accounts')->limit(50)->whereRaw(
                'MATCH (description) AGAINST (? WITH QUERY EXPANSION)', [mb_substr($text, 0, 2000)],
            )->pluck('id'));
        }
    }
    sort($times);
    sort($typical);
    say(sprintf('Lookalikes: median %.0f ms; the database with query expansion %.0f ms', 1000 * $times[12],
        1000 * $theirs[0]));
    limit('Milliseconds for lookalikes of five examples, median', 1000 * $times[12], 500);
    limit('Milliseconds for typical phrases of forty, median', 1000 * $typical[4], 1000);
}

/** Texts of crafts of ten words each, which share a tongue of some thousand. */
function said(int $accounts, int $words): void
{
    for ($from = 1; $from <= $accounts; $from += 2000) {
        $rows = [];
        for ($id = $from; $id < min($accounts + 1, $from + 2000); $id++) {
            mt_srand($id);
            $text = [];
            for ($n = 0; $n < $words; $n++) {
                // As in any language, few words are said often and many seldom.
                $word = mt_rand(0, 4) === 0 ? 'craft'.($id % 101).'x'.mt_rand(0, 9)
                    : 'word'.(int) (8000 * (mt_rand() / mt_getrandmax()) ** 3);
                $text[] = $word.($n % 12 === 11 ? '.' : '');
            }
            $rows[] = ['id' => $id, 'name' => "Firm $id", 'description' => implode(' ', $text)];
        }
        DB::table('accounts')->upsert($rows, 'id', ['description']);
    }
}
