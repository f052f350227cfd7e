<?php

declare(strict_types=1);

namespace App\Standings;

use App\Events\AllStandingsStored;
use App\Events\StandingsStored;
use App\KeepOut\RecogniseAccounts;
use App\Models\Account;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\StandingState;
use App\Support\Bulk;
use App\Support\Workers;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\Part;
use Luftig\Core\Priority\ContactPush;
use Luftig\Core\Priority\ContactRanking;
use Luftig\Core\Priority\DayPlan;
use Luftig\Core\Priority\Points;
use Luftig\Core\Signal\Pulse;
use Luftig\Core\Signal\Timing;

/** Loads facts, asks the core, stores what it says: a row for each account and offer. */
final class Standings
{
    private const CHUNK = 1000;

    /** Up to so many accounts one process does all. */
    private const ALONE = 5000;

    private const WORKERS = 2;

    private const DAY = 86_400;

    /** After so many working days what waiting costs is told. */
    private const WORKDAYS = 5;

    private const COLUMNS = [
        'offer_id', 'account_id', 'rule_set_id', 'state', 'cause', 'fit', 'fit_low', 'fit_high', 'coverage', 'push',
        'access', 'points', 'priority', 'later', 'moved', 'act_by', 'fades_on', 'criteria', 'lines', 'contacts',
        'best_contact', 'signs_off', 'shapes', 'champion', 'user', 'next_door', 'computed_at',
    ];

    /** Computes the accounts whose facts changed since they were computed last. */
    public function refresh(): int
    {
        $stale = Account::query()->where('stale', true)->count();
        if ($stale >= self::ALONE && 2 * $stale > Account::query()->count()) {
            return $this->all();
        }
        $count = 0;
        do {
            /** @var list<int> $ids */
            $ids = Account::query()->where('stale', true)->orderBy('id')->limit(self::CHUNK)->pluck('id')->all();
            if ($ids !== []) {
                $this->only($ids);
            }
            $count += count($ids);
        } while (count($ids) === self::CHUNK);

        return $count;
    }

    /**
     * Computes these accounts, and no others.
     *
     * @param  list<int>  $accounts  ids
     */
    public function only(array $accounts): void
    {
        $this->store($this->books(), '`id` IN ('.implode(',', $accounts).')');
        StandingsStored::dispatch($accounts);
    }

    /** Computes all accounts, of one offer or of all; so they age overnight, and follow a change of rules. */
    public function all(?Offer $offer = null): int
    {
        $books = $this->books($offer);
        $last = (int) Account::query()->max('id');
        $work = function (int $worker, int $of) use ($books, $last, $offer): void {
            // Nothing here goes round in circles, and looking for that costs a tenth of the time.
            gc_disable();
            $share = (int) ceil($last / $of);
            $end = min($last, ($worker + 1) * $share);
            for ($from = 1 + $worker * $share; $from <= $end; $from += self::CHUNK) {
                $this->store($books, "`id` BETWEEN $from AND ".min($end, $from + self::CHUNK - 1), $offer === null);
            }
            gc_enable();
        };
        if ($last < self::ALONE || ! Workers::areToBeHad()) {
            $work(0, 1);
        } else {
            Workers::share(self::WORKERS, $work);
        }
        AllStandingsStored::dispatch();

        return $last;
    }

    /**
     * What rules would say of every account, without storing it.
     *
     * @return Generator<int, array<string, mixed>> account → a standing's columns
     */
    public function preview(RuleSet $rules): Generator
    {
        $book = RuleBook::of($rules);
        $now = CarbonImmutable::now();
        $reader = FactsReader::for($now, $book);
        $last = (int) Account::query()->max('id');
        for ($from = 1; $from <= $last; $from += self::CHUNK) {
            foreach ($reader->read("`id` BETWEEN $from AND ".($from + self::CHUNK - 1)) as $id => $facts) {
                yield $id => array_combine(
                    self::COLUMNS,
                    $this->row($book, $facts, $now->getTimestamp(), $now->toDateTimeString()),
                );
            }
        }
    }

    /** @param  list<RuleBook>  $books */
    private function store(array $books, string $which, bool $clear = true): void
    {
        DB::transaction(function () use ($books, $which, $clear): void {
            // Whoever changes facts marks the account in the same transaction. With the rows locked and the marks gone
            // before anything is read, a change either is read below or waits for the row and marks it after this.
            DB::select("SELECT id FROM accounts WHERE $which FOR UPDATE");
            if ($clear) {
                RecogniseAccounts::refresh($which);
                DB::update("UPDATE accounts SET stale = 0 WHERE stale = 1 AND $which");
            }
            $now = CarbonImmutable::now();
            $time = $now->getTimestamp();
            $stamp = $now->toDateTimeString();
            $rows = [];
            foreach (FactsReader::for($now, ...$books)->read($which) as $facts) {
                foreach ($books as $book) {
                    $rows[] = $this->row($book, $facts, $time, $stamp);
                }
            }
            Bulk::replace('standings', self::COLUMNS, $rows);
        }, 3);
    }

    /**
     * @param  int  $time  Unix seconds
     * @param  string  $stamp  the same as the database writes it
     * @return list<bool|float|int|string|null> in the order of COLUMNS
     */
    private function row(RuleBook $book, StandingFacts $facts, int $time, string $stamp): array
    {
        $fit = $book->profile->fitOf($facts->account);
        $series = $facts->seriesFor($book->offer);
        $timing = Timing::of($book->catalogue, $series, $time);
        $people = self::people($book, $facts, $timing);
        $points = Points::of($fit->value, $timing->push, $people->access, $book->lines);
        [$state, $cause] = match (true) {
            $facts->barred !== null => [StandingState::KeptOut, $facts->barred],
            $fit->out !== null => [StandingState::Out, $fit->out],
            isset($facts->dropped[$book->offer]) => [StandingState::Out, 'dropped by '.$facts->dropped[$book->offer]],
            $timing->hasReason() => [StandingState::Ranked, null],
            default => [StandingState::Waiting, $timing->push < 0 ? 'what is live speaks against it' : null],
        };
        $actBy = $moved = $later = null;
        if ($state === StandingState::Ranked) {
            $pulse = Pulse::of($book->catalogue, $series, $time, back: 7);
            $actBy = $pulse->actBy();
            $before = $pulse->at($time - 7 * 86400);
            $later = self::later($book, $fit->value, $pulse, $people->access, $time);
            $moved = $before > 0
                ? $points->priority()
                    - Points::of($fit->value, $before, $people->access, $book->lines)->priority()
                : null;
        }
        $lines = [];
        foreach ($timing->signals as $signal) {
            $lines[] = [
                $signal->id, $signal->kind->value, $signal->freshness, $signal->novelty, $signal->place, $signal->push,
                $signal->share,
            ];
        }

        $contacts = [];
        $number = array_flip(array_map(spl_object_id(...), $book->roles->roles));
        $parts = array_fill_keys(array_column(Part::cases(), 'value'), 0);
        foreach ($people->contacts as $contact) {
            $contacts[] = [
                $contact->id, round($contact->priority, 2), $contact->part->value,
                $contact->role->isInRole() ? $number[spl_object_id($contact->role->buyerRole)] : null,
            ];
            $parts[$contact->part->value]++;
        }

        return [
            $book->offer, $facts->id, $book->ruleSet, $state->value, $cause,
            $fit->value, $fit->low, $fit->high, $fit->coverage, $timing->push, $people->access,
            $points->total(), $state === StandingState::Ranked ? $points->priority() : null, $later, $moved,
            $actBy === null ? null : gmdate('Y-m-d', $actBy * 86400), self::fadesOn($book, $timing, $time),
            json_encode($fit->memberships, JSON_THROW_ON_ERROR), json_encode($lines, JSON_THROW_ON_ERROR),
            json_encode($contacts, JSON_THROW_ON_ERROR), $contacts[0][1] ?? null, $parts['signs_off'], $parts['shapes'],
            $parts['champion'], $parts['user'], $parts['next_door'], $stamp,
        ];
    }

    /** The priority in five working days (rule 18), by what is there today; null where nothing speaks for it then. */
    private static function later(RuleBook $book, float $fit, Pulse $pulse, float $access, int $time): ?float
    {
        $today = intdiv($time, self::DAY);
        $then = $time + (DayPlan::workdaysAfter($today, self::WORKDAYS) - $today) * self::DAY;

        return $pulse->speaksAt($then) ? Points::of($fit, $pulse->at($then), $access, $book->lines)->priority() : null;
    }

    /** The first day on which one of those that may be said is no longer fresh; null where none is fresh. */
    private static function fadesOn(RuleBook $book, Timing $timing, int $time): ?string
    {
        $first = null;
        foreach ($timing->signals as $signal) {
            $until = $signal->at + $book->catalogue->of($signal->kind)->freshAge * self::DAY;
            if ($signal->push > 0 && $signal->kind->mayBeQuoted() && $until >= $time) {
                $first = min($first ?? INF, $until);
            }
        }

        return $first === null ? null : gmdate('Y-m-d', (int) ceil($first) + self::DAY);
    }

    /**
     * Who of an account takes part in buying, and how it is reached through them.
     *
     * @param  list<array{int, int, string, float, float}>|null  $contacts  as they would be; null: as they are
     */
    public static function people(
        RuleBook $book,
        StandingFacts $facts,
        Timing $timing,
        ?array $contacts = null,
    ): ContactRanking {
        $pushes = [];
        foreach ($timing->signals as $signal) {
            [$contact, $concerns] = $facts->marks[$signal->id] ?? [null, 0];
            $pushes[] = [$signal->push, $contact, $concerns, $signal->kind->isEngagement()];
        }

        return ContactRanking::of(
            $book->roles,
            $contacts ?? $facts->contactsFor($book->offer),
            new ContactPush($pushes),
            $facts->account->country,
            $facts->account->headcount,
            $facts->isAssociation(),
        );
    }

    /** @return list<RuleBook> */
    private function books(?Offer $offer = null): array
    {
        return array_values(Offer::query()->when($offer !== null, fn ($query) => $query->whereKey($offer?->id))
            ->orderBy('id')
            ->with('rules')->get()
            ->filter(fn (Offer $one): bool => $one->rules !== null)
            ->map(fn (Offer $one): RuleBook => RuleBook::of($one->rules ?? throw new \LogicException('filtered above')))
            ->all());
    }
}
