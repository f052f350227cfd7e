<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Intake\Ledger;
use App\Intake\NamedTechnologies;
use App\Models\ItemKind;
use App\Standings\RuleBook;
use App\Support\AccountIds;
use App\Support\TechnologyIds;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Technology;
use Luftig\Core\Company\Usage;
use Luftig\Core\Signal\Kind;
use stdClass;

/**
 * What visits and postings say of technologies (rule 24): those in use are kept, and those that came or went are
 * signals for the offers to which they say something (rule 2).
 */
final class TechnologySignals
{
    private const CHUNK = 500;

    private const KINDS = ['tech_adopted', 'tech_dropped'];

    /** A file and a page tell of one change at different times. */
    private const SAME_DAYS = 120;

    private readonly Caring $caring;

    private function __construct()
    {
        $this->caring = new Caring;
    }

    /**
     * @param  list<int>  $accounts
     * @return int how many are new
     */
    public static function renew(array $accounts): int
    {
        return $accounts === [] ? 0 : (new self)->tell($accounts);
    }

    /** After it was said anew which technologies say something: signals that say nothing any more go. */
    public static function renewAll(): void
    {
        DB::table('site_visits')->distinct()->orderBy('account_id')->pluck('account_id')->chunk(self::CHUNK)
            ->each(fn ($accounts) => self::renew(array_values($accounts->all())));
    }

    /** @param  list<int>  $accounts */
    private function tell(array $accounts): int
    {
        $items = $this->pages($accounts);
        $wanted = $named = $runs = [];
        foreach (TechnologiesOf::accounts($accounts) as $account => $usages) {
            foreach ($usages as $usage) {
                $changes = [
                    ...array_map(fn (float $at): array => [Kind::TechAdopted, $at], $usage->adopted),
                    ...array_map(fn (float $at): array => [Kind::TechDropped, $at], $usage->dropped),
                ];
                foreach (isset($items[$account]) ? $changes : [] as [$kind, $at]) {
                    $named[$account][] = $usage->name;
                    array_push($wanted, ...$this->signals($items[$account], $account, $usage, $kind, (int) $at));
                }
                $runs[$account][$usage->name] = $usage->since !== null;
            }
        }
        // First, so that what is told to one offer now is not taken for what all were told before.
        KeepSignals::withdraw(
            DB::table('signals')->whereIn('account_id', $accounts)->whereIn('kind', self::KINDS)->whereExists(
                fn ($query) => $query->from('signal_sources')->whereColumn('signal_id', 'signals.id')
                    ->join('feed_items', 'feed_items.id', '=', 'feed_item_id')
                    ->where('feed_items.kind', ItemKind::Page->value),
            ),
            $wanted,
        );
        $new = KeepSignals::keep($wanted);
        (new NamedTechnologies)->follow($named, new Ledger(0));
        $this->note($runs);

        return $new;
    }

    /** @return list<Wanted> one that is the same for all offers, or one for each that it says something to */
    private function signals(stdClass $item, int $account, Usage $usage, Kind $kind, int $at): array
    {
        $day = CarbonImmutable::createFromTimestampUTC($at);
        $key = Technology::key($usage->name);
        $mark = "page|$account|{$kind->value}|$key|".$day->toDateString();
        $sure = $usage->confidence();

        return array_map(fn (?int $offer): Wanted => new Wanted(
            sha1($mark.($offer === null ? '' : "|$offer")),
            $account,
            $kind,
            $usage->name.($kind === Kind::TechAdopted ? ' appeared on their page' : ' is gone from their page'),
            $day,
            1.0,
            [$item->id => [min($item->confidence, $sure ?: $item->confidence), 'By its page.']],
            $item->name,
            $item->link,
            null,
            ['technology' => $usage->name],
            offer: $offer,
            isSame: fn (stdClass $other): bool => Technology::key(
                (string) (json_decode($other->facts ?? '[]', true)['technology'] ?? ''),
            ) === $key,
            days: self::SAME_DAYS,
        ), $this->caring->offers(
            fn (RuleBook $book): bool => $book->technologies->counts($kind, $usage->name),
        ));
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, stdClass> account → the item of its page: id, link, name and confidence of its feed
     */
    private function pages(array $accounts): array
    {
        return DB::table('feed_items')->join('feeds', 'feeds.id', '=', 'feed_id')
            ->whereIn('account_id', $accounts)->where('kind', ItemKind::Page->value)->orderBy('feed_items.id')
            ->get(['feed_items.id', 'account_id', 'link', 'name', 'confidence'])->keyBy('account_id')->all();
    }

    /**
     * What is there from the first look on, or is named in a posting, is in use, and no news.
     *
     * @param  array<int, array<string, bool>>  $runs  account → technology → whether it is in use
     */
    private function note(array $runs): void
    {
        $technologies = new TechnologyIds;
        $there = DB::table('account_technology')->join('technologies', 'technologies.id', '=', 'technology_id')
            ->whereIn('account_id', array_keys($runs))->get(['account_id', 'name'])->groupBy('account_id');
        $rows = [];
        foreach ($runs as $account => $names) {
            $known = ($there[$account] ?? collect())
                ->map(fn (stdClass $one): string => Technology::key($one->name))->all();
            foreach (array_keys(array_filter($names)) as $name) {
                if (! in_array(Technology::key((string) $name), $known, true)) {
                    $rows[] = ['account_id' => $account, 'technology_id' => $technologies->of((string) $name)];
                }
            }
        }
        DB::table('account_technology')->insertOrIgnore($rows);
        AccountIds::markStale(array_column($rows, 'account_id'));
    }
}
