<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\Brought;
use App\Feeds\KeepSignals;
use App\Feeds\Understanding;
use App\Feeds\Wanted;
use App\Intake\Ledger;
use App\Intake\NamedTechnologies;
use App\Models\Feed;
use App\Models\ItemState;
use App\Support\AccountIds;
use App\Support\TechnologyIds;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Shown;
use Luftig\Core\Company\Technology;
use Luftig\Core\Company\TechnologyHistory;
use Luftig\Core\Company\Usage;
use Luftig\Core\Company\Visit;
use Luftig\Core\Signal\Kind;
use stdClass;

/** Visits of pages: what runs there, what appeared and what disappeared (rule 24). */
final class Pages implements Understanding
{
    /** A file and a page tell of one change at different times. */
    private const SAME_DAYS = 120;

    public function take(Feed $feed, array $items): int
    {
        $accounts = AccountIds::of(array_map(fn (Brought $one): array => $one->facts, $items));
        $of = $rows = [];
        foreach ($items as $item) {
            $account = $accounts[$item->facts['domain'] ?? ''] ?? null;
            if ($account === null) {
                $item->becomes(ItemState::Dropped, "Nobody in the base has the domain {$item->facts['domain']}.");

                continue;
            }
            $item->becomes(
                ItemState::Taken,
                $item->facts['reached'] === true ? 'Its page was there.' : 'Its page was not there.',
                $account,
            );
            $of[$account] = $item;
            $rows[] = [
                'account_id' => $account, 'at' => $item->at->toDateTimeString(), 'reached' => $item->facts['reached'],
                'found' => json_encode($item->facts['found'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            ];
        }
        DB::table('site_visits')->insertOrIgnore($rows);
        $wanted = $named = $runs = [];
        foreach ($this->visits(array_keys($of)) as $account => $visits) {
            foreach (TechnologyHistory::of($visits) as $usage) {
                $changes = [
                    ...array_map(fn (float $at): array => [Kind::TechAdopted, $at], $usage->adopted),
                    ...array_map(fn (float $at): array => [Kind::TechDropped, $at], $usage->dropped),
                ];
                foreach ($changes as [$kind, $at]) {
                    $named[$account][] = $usage->name;
                    $wanted[] = $this->signal($feed, $of[$account], $account, $usage, $kind, (int) $at);
                }
                if ($usage->since !== null && $usage->adopted === []) {
                    $runs[$account][] = $usage->name;
                }
            }
        }
        $new = KeepSignals::keep($wanted);
        (new NamedTechnologies)->follow($named, new Ledger(0));
        $this->note($runs);

        return $new;
    }

    private function signal(Feed $feed, Brought $item, int $account, Usage $usage, Kind $kind, int $at): Wanted
    {
        $day = CarbonImmutable::createFromTimestampUTC($at);
        $key = Technology::key($usage->name);

        return new Wanted(
            sha1("page|$account|{$kind->value}|$key|".$day->toDateString()),
            $account,
            $kind,
            $usage->name.($kind === Kind::TechAdopted ? ' appeared on their page' : ' is gone from their page'),
            $day,
            1.0,
            [$item->id => [min($feed->confidence, $usage->confidence() ?: $feed->confidence), 'By its page.']],
            $feed->name,
            $item->link,
            null,
            ['technology' => $usage->name],
            isSame: fn (stdClass $other): bool => Technology::key(
                (string) (json_decode($other->facts ?? '[]', true)['technology'] ?? ''),
            ) === $key,
            days: self::SAME_DAYS,
        );
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, list<Visit>>
     */
    private function visits(array $accounts): array
    {
        $visits = [];
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

        return $visits;
    }

    /**
     * What is there from the first look on is in use, and no news.
     *
     * @param  array<int, list<string>>  $runs
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
            foreach ($names as $name) {
                if (! in_array(Technology::key($name), $known, true)) {
                    $rows[] = ['account_id' => $account, 'technology_id' => $technologies->of($name)];
                }
            }
        }
        DB::table('account_technology')->insertOrIgnore($rows);
        AccountIds::markStale(array_column($rows, 'account_id'));
    }
}
