<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\ItemKind;
use App\Models\ItemState;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Fingerprints;
use Luftig\Core\Company\Shown;
use Luftig\Core\Company\Technology;
use Luftig\Core\Company\TechnologyHistory;
use Luftig\Core\Company\Usage;
use Luftig\Core\Company\Visit;
use Luftig\Core\Text\Fold;

/** What runs at accounts, as visits of their pages and their own postings show it (rule 24). */
final class TechnologiesOf
{
    /**
     * @param  list<int>  $accounts
     * @return array<int, list<Usage>> of those of which anything was seen
     */
    public static function accounts(array $accounts): array
    {
        $visits = $named = [];
        foreach (DB::table('site_visits')->whereIn('account_id', $accounts)->orderBy('at')->get() as $row) {
            $visits[$row->account_id][] = new Visit(
                (float) strtotime("$row->at UTC"),
                (bool) $row->reached,
                array_values(array_map(
                    fn (array $one): array => [(string) $one[0], Shown::from((string) $one[1])],
                    json_decode($row->found, true),
                )),
            );
        }
        foreach (self::postings($accounts) as [$account, $at, $name]) {
            $named[$account][] = [$at, $name];
        }
        $groups = self::fingerprints()->groups();
        $usages = [];
        foreach (array_keys($visits + $named) as $account) {
            $usages[$account] = TechnologyHistory::of($visits[$account] ?? [], $named[$account] ?? [], $groups);
        }

        return $usages;
    }

    /** Those that ship, and the team's own. */
    public static function fingerprints(): Fingerprints
    {
        static $read = [];
        $files = config()->array('luftig.fingerprints');

        return $read[implode('|', $files)] ??= Fingerprints::of(array_merge([], ...array_map(
            fn (string $file): array => array_values(
                (array) json_decode((string) @file_get_contents($file), true),
            ),
            array_values($files),
        )));
    }

    /**
     * @param  list<Brought>  $postings  told whose they are
     * @return list<int> accounts whose own postings name a technology
     */
    public static function named(array $postings): array
    {
        $names = self::names();
        $naming = array_filter($postings, fn (Brought $one): bool => $one->account !== null && $one->agency === null
            && self::in($one->title.' '.($one->facts['text'] ?? ''), $names) !== []);

        return array_values(array_unique(array_map(fn (Brought $one): int => (int) $one->account, $naming)));
    }

    /**
     * Technologies that own postings name; what an agency writes is not known to be of its client.
     *
     * @param  list<int>  $accounts
     * @return iterable<array{int, float, string}> account, when, technology
     */
    private static function postings(array $accounts): iterable
    {
        $names = self::names();
        foreach (
            DB::table('feed_items AS i')->whereIn('i.account_id', $accounts)->where('kind', ItemKind::Posting->value)
                ->where('state', '<>', ItemState::Refused->value)
                ->whereNotExists(fn ($query) => $query->from('mentions')->whereColumn('feed_item_id', 'i.id'))
                ->get(['i.account_id', 'at', 'seen_at', 'title', 'facts']) as $row
        ) {
            foreach (self::in($row->title.' '.(json_decode($row->facts, true)['text'] ?? ''), $names) as $name) {
                yield [$row->account_id, (float) strtotime(($row->at ?? $row->seen_at).' UTC'), $name];
            }
        }
    }

    /**
     * @param  array<array-key, string>  $names
     * @return list<string> those that a text names
     */
    private static function in(string $text, array $names): array
    {
        if ($names === []) {
            return [];
        }
        $any = implode('|', array_map(
            fn (int|string $name): string => preg_quote((string) $name, '~'),
            array_keys($names),
        ));
        // Two that stand side by side have a space each.
        preg_match_all("~ ($any) ~", str_replace(' ', '  ', Fold::line($text)), $found);

        return array_map(fn (string $name): string => $names[$name], array_values(array_unique($found[1])));
    }

    /** @return array<array-key, string> folded as lines are → as it is called */
    private static function names(): array
    {
        $names = [];
        foreach ([
            ...self::fingerprints()->names(),
            // The first that runs it is looked up by its key; asked whether one exists, the database reads all.
            ...DB::table('technologies')->where(
                fn ($query) => $query->from('account_technology')->whereColumn('technology_id', 'technologies.id')
                    ->limit(1)->select('technology_id'), '>', 0,
            )->pluck('name')->all(),
        ] as $name) {
            $folded = str_replace(' ', '  ', trim(Fold::line($name)));
            // A short one is too often a word.
            if (mb_strlen($folded) >= 4 && Technology::key($name) !== '') {
                $names[$folded] ??= $name;
            }
        }

        return $names;
    }
}
