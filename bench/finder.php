<?php

declare(strict_types=1);

/* The Finder: its index, searches in random, and what a change costs it. */

use App\Finder\Indexes;
use App\Finder\Search;
use App\Http\Controllers\FinderExportController;
use App\Models\Account;
use App\Models\Offer;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Search\Field;

/**
 * Random requests to the Finder: seven steps with what each costs, ten fields counted, and a first page; and the same
 * by SQL.
 */
function finder(): void
{
    $offer = Offer::query()->with('rules')->sole();
    limit('The index built, s', seconds(fn () => Indexes::build($offer)), 30);
    $random = new Random\Randomizer(new Random\Engine\Mt19937(7));
    $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
    $times = $sql = [];
    for ($i = 0; $i < 60; $i++) {
        $low = $random->getInt(20, 400);
        $countries = $pick([['SE'], ['SE', 'DK'], ['DE', 'PL', 'SE']]);
        $industries = $pick([['23', '22'], ['17', '22', '23', '21'], ['25']]);
        $query = ['on' => 'contacts', 'c' => [
            ['f' => 'country', 'v' => implode(',', $countries)],
            ['f' => 'industry', 'v' => implode(',', $industries)],
            ['f' => 'headcount', 'lo' => (string) $low, 'hi' => (string) ($low + 900)],
            ['f' => 'function', 'v' => $pick(['maintenance', 'operations,sustainability', 'general_management'])],
            ['f' => 'seniority', 'v' => $pick(['head', 'manager,head', 'specialist'])],
            ['f' => 'title', 'q' => $pick(['maintenance OR energy -assistant', 'manager', '-assistant'])],
            ['f' => 'state', 'v' => 'ranked'],
        ]];
        $found = null;
        $times[] = 1000 * seconds(function () use ($offer, $query, &$found): void {
            $search = Search::from($offer, $query);
            $search->staircase();
            foreach (
                [
                    Field::Industry, Field::Country, Field::City, Field::Technology, Field::Signal, Field::State,
                    Field::Seniority, Field::BusinessFunction, Field::Part, Field::Channel,
                ] as $field
            ) {
                $search->counts($field, 5);
            }
            $search->employers(5);
            $search->ids(20);
            $found = $search->total();
        });
        if ($i < 2) {
            $sql[] = 1000 * seconds(fn () => bySql($query['c'], $countries, $industries, $low));
        }
    }
    sort($times);
    limit('A request of seven steps, ms at the median', $times[30], 40);
    limit('A request of seven steps, ms at the 95th percentile', $times[56], 100);
    say(sprintf('The same by SQL: %.0f ms', array_sum($sql) / count($sql)));
    limit('A request, as a part of the same by SQL', $times[30] / (array_sum($sql) / count($sql)), 1 / 40);
    $search = [
        'on' => 'contacts',
        'c' => [['f' => 'function', 'v' => 'maintenance,operations'], ['f' => 'country', 'v' => 'SE']],
    ];
    $taken = seconds(function () use ($offer, $search): void {
        ob_start(fn (): string => '', 1 << 16);
        (new FinderExportController)(Request::create('/finder/found.csv', parameters: $search), $offer, 'csv')
            ->sendContent();
        ob_end_clean();
    });
    $whole = Search::from($offer, $search)->total();
    say(
        sprintf(
            '%s contacts given out as CSV: %.1f s, %.2f ms for each',
            number_format($whole),
            $taken,
            1000 * $taken / max(1, $whole),
        ),
    );
    $search = fn (): int => Search::from($offer, ['on' => 'contacts', 'c' => ['']])->total();
    $search();
    $whole = seconds(fn () => array_map($search, range(1, 32))) / 32;
    // Of one account after another, so that what is made anew with several of them is paid for, too.
    $patched = $patching = 0.0;
    foreach (Account::query()->whereRaw('id % 97 = 5')->limit(32)->pluck('id') as $id) {
        Indexes::changed([$id]);
        $patching += seconds(Indexes::patch(...)) / 32;
        $patched += seconds($search) / 32;
    }
    say(sprintf(
        '32 accounts changed one after another: a search after each %.1f ms, one before %.1f ms; %.1f ms when the '
            .'answer has gone out',
        1000 * $patched,
        1000 * $whole,
        1000 * $patching,
    ));
    limit('What a changed contact costs the next search, ms', 1000 * ($patched - $whole), 5);
}

/**
 * Counts after and without each step, ten fields, and the first page, each a statement of its own.
 *
 * @param  list<array<string, string>>  $steps
 * @param  list<string>  $countries
 * @param  list<string>  $industries
 */
function bySql(array $steps, array $countries, array $industries, int $low): void
{
    $in = fn (array $values): string => "'".implode("','", $values)."'";
    $functions = BusinessFunction::set(
        array_map(fn (string $name): BusinessFunction => BusinessFunction::from($name), explode(',', $steps[3]['v'])),
    ) << 7;
    $ranks = implode(
        ',',
        array_map(fn (string $name): int => Seniority::from($name)->rank(), explode(',', $steps[4]['v'])),
    );
    $conditions = [
        "p.country IN ({$in($countries)})", 'LEFT(i.code, 2) IN ('.$in($industries).')',
        "a.headcount BETWEEN $low AND ".($low + 900), "c.reading & $functions", "c.reading >> 3 & 15 IN ($ranks)",
        "c.title LIKE '%manager%'", "s.state = 'ranked'",
    ];
    $from = 'FROM contacts c JOIN accounts a ON a.id = c.account_id JOIN places p ON p.account_id = a.id AND '
        .'p.headquarters = 1 JOIN account_industry i ON i.account_id = a.id AND i.position = 0 JOIN standings s ON '
        .'s.account_id = a.id WHERE c.merged_into IS NULL';
    $where = fn (array $which): string => $which === [] ? '' : ' AND '.implode(' AND ', $which);
    foreach (array_keys($conditions) as $k) {
        DB::select("SELECT COUNT(*) $from".$where(array_slice($conditions, 0, $k + 1)));
        DB::select("SELECT COUNT(*) $from".$where(array_values(array_diff_key($conditions, [$k => 0]))));
    }
    foreach (
        [
            'i.code', 'p.country', 'p.city', 's.state', 'a.sites', 'c.reading >> 3 & 15', 'c.reading >> 7', 'a.founded',
            'a.status', 'a.owner_id',
        ] as $field
    ) {
        DB::select("SELECT $field, COUNT(*) AS n $from".$where($conditions).' GROUP BY 1 ORDER BY n DESC LIMIT 5');
    }
    DB::select("SELECT c.id $from".$where($conditions).' ORDER BY s.points DESC LIMIT 20');
}
