<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Channels\FirstSteps;
use App\KeepOut\EntriesInForce;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\Decision;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Reservation;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Network\CommonGround;
use App\Reasons\AngleUse;
use App\Reasons\Drafts;
use App\Standings\RuleBook;
use App\View\Accounts\Narrowed;
use App\View\Accounts\Ranking;
use App\View\Steps;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Luftig\Core\Buying\Skip;
use Luftig\Core\Priority\DayPlan;
use Luftig\Core\Priority\PlanCandidate;

/**
 * Today's approaches of a rep (rule 18): accounts that are hers or nobody's, each with the first person whom rule 9
 * takes. Those whose act-by day, or that of a signal that may be said, is near are looked at first, then those that
 * rank best by priority and the cost of waiting, then waiting ones; which of them the day has room for, the core says.
 */
final readonly class Plan
{
    private const CHUNK = 40;

    private const FEWEST = 10;

    private const REST = 14;

    private const HURRY = 3;

    private const SHARE = 3;

    /** Of so many who are wanted, one is rarely to be approached. */
    private const SPARE = 4;

    /** So many more than there is room for are looked at, to say what was left out. */
    private const BESIDES = 5;

    public Narrowed $narrowed;

    public EntriesInForce $barred;

    private Approachable $approachable;

    public function __construct(private Offer $offer, private User $rep)
    {
        $this->barred = EntriesInForce::now();
        $this->narrowed = Narrowed::ofToday($offer, $rep);
        $this->approachable = new Approachable($offer, $rep, $this->narrowed, $this->barred);
    }

    public function usedToday(): int
    {
        return once(fn (): int => Approach::query()->todayBy($this->rep)->count());
    }

    /** What is left of the pace of the day, and of the week. */
    public function left(): int
    {
        return max(0, min($this->rep->pace - $this->usedToday(), $this->leftOfWeek()));
    }

    public function leftOfWeek(): int
    {
        return max(0, $this->rep->paceOfWeek() - once(
            fn (): int => Approach::query()->thisWeekBy($this->rep)->count(),
        ));
    }

    /** The plan of the rest of the day. */
    public function today(): Planned
    {
        return $this->planned($this->usedToday(), $this->rep->paceOfWeek() - $this->leftOfWeek(), $this->left());
    }

    /**
     * What a new day would begin with, by what is known now.
     *
     * @return list<PlanRow>
     */
    public function tomorrow(int $first): array
    {
        return array_slice($this->planned(0, 0, $first)->rows, 0, $first);
    }

    /** @return array<string, list<PlanRow>> by group, in the order of GROUPS */
    public function groups(): array
    {
        return $this->today()->groups();
    }

    private function planned(int $usedToday, int $usedThisWeek, int $left): Planned
    {
        $today = $this->rep->today();
        $soon = CarbonImmutable::createFromTimestampUTC(
            86_400 * DayPlan::workdaysAfter(self::day($today), self::HURRY),
        );
        $ranked = $this->candidates(StandingState::Ranked);
        $hurried = (clone $ranked)->where(fn (Builder $either) => $either
            ->whereBetween('act_by', [$today->toDateString(), $soon->toDateString()])
            ->orWhereBetween('fades_on', [$today->toDateString(), $soon->toDateString()]));
        $third = intdiv($this->rep->pace, self::SHARE);
        $open = $passed = [];
        if ($left > 0) {
            $hurried = $this->pages($hurried, $third + self::BESIDES, 'points');
            $ranked = $this->pages($ranked, $left + self::BESIDES, 'score');
            // What is looked at first of both is loaded together.
            $this->look($hurried->current()->concat($ranked->current()));
            $this->take($hurried, $third + self::BESIDES, $open, $passed);
            $this->take($ranked, $left - min($third, count($open)) + self::BESIDES, $open, $passed);
        }
        if (count($open) < $left) {
            $waiting = $this->candidates(StandingState::Waiting)->where('push', '>=', 0);
            $most = $left - count($open);
            $this->take($this->pages($waiting, $most, 'points'), $most, $open, $passed);
        }
        $rows = $this->made(array_values($open));
        $rows = array_column(array_map(fn (PlanRow $row): array => [$row->standing->account_id, $row], $rows), 1, 0);
        $plan = DayPlan::of(
            self::day($today), $this->rep->pace, $this->rep->paceOfWeek(), $usedToday, $usedThisWeek,
            array_values(array_map(fn (PlanRow $row): PlanCandidate => new PlanCandidate(
                $row->standing->account_id, $row->standing->account_id, $row->standing->priority,
                $row->standing->later, $row->actBy === null ? null : self::day($row->actBy), 0, 1,
            ), $rows)),
        );
        $of = fn (int|string $id): PlanRow => $rows[$id];
        $taken = array_map($of, $plan->taken);

        return new Planned(
            $today, $taken,
            array_map(fn (array $one): array => [$of($one[0]), $one[1]], $plan->leftOut),
            [...array_values(array_diff_key($passed, $rows)), ...$this->withOthers($taken, $left)],
        );
    }

    /**
     * @param  list<PlanRow>  $taken
     * @return list<array{Standing, Skip}> the first that would have been taken, did a colleague's plan not have them
     */
    private function withOthers(array $taken, int $left): array
    {
        if ($left === 0) {
            return [];
        }
        $theirs = $this->candidates(StandingState::Ranked, ofOthers: true)->with('account')->limit(Planned::SHOWN);
        if (count($taken) === $left) {
            $theirs->where('points', '>=', collect($taken)->min(fn (PlanRow $row): float => $row->standing->points));
        }

        return array_map(fn (Standing $one): array => [$one, Skip::Reserved], array_values($theirs->get()->all()));
    }

    /** Days since 1970-01-01. */
    private static function day(CarbonImmutable $day): int
    {
        return intdiv($day->getTimestamp(), 86_400);
    }

    /** One account as the plan would have it; null where it has no place in it. */
    public function row(int $account): ?PlanRow
    {
        foreach ([StandingState::Ranked, StandingState::Waiting] as $state) {
            $open = $passed = [];
            $only = $this->candidates($state)->where('standings.account_id', $account);
            $this->take($this->pages($only, 1, 'points'), 1, $open, $passed);
            if ($open !== []) {
                return $this->made(array_values($open))[0];
            }
        }

        return null;
    }

    /**
     * @param  Builder<Standing>  $candidates
     * @param  int  $most  how many are wanted
     * @param  'points'|'score'  $by  the order in which they are looked at
     * @return Generator<int, Collection<int, Standing>> page after page; none has no more
     */
    private function pages(Builder $candidates, int $most, string $by): Generator
    {
        if ($by === 'score') {
            $candidates = (clone $candidates)->reorder()->orderByDesc('score')->orderByRaw('act_by IS NULL, act_by')
                ->orderBy('accounts.name')->orderBy('accounts.id');
        }
        // Most are taken; so few more than are wanted are looked at first.
        $size = max(self::FEWEST, min(self::CHUNK, $most + intdiv($most, self::SPARE)));
        for ($page = 1; true; $page++) {
            $standings = Ranking::among($candidates, $page * $size, $by)->forPage($page, $size)->get();
            yield $standings;
            if ($standings->count() < $size) {
                return;
            }
        }
    }

    /** @param  Collection<int, Standing>  $standings */
    private function look(Collection $standings): void
    {
        $standings->loadMissing('account.places', 'account.industries', 'account.technologies');
        $this->approachable->look($standings);
    }

    /**
     * Takes the first in which somebody is to be approached, and notes in which of those before them nobody is.
     *
     * @param  Generator<int, Collection<int, Standing>>  $pages
     * @param  array<int, Standing>  $open  by account
     * @param  array<int, array{Standing, Skip|null}>  $passed  by account, those in which nobody is, and why
     */
    private function take(Generator $pages, int $most, array &$open, array &$passed): void
    {
        $taken = 0;
        foreach ($pages as $standings) {
            $this->look($standings);
            foreach ($standings as $one) {
                if (isset($open[$one->account_id])) {
                    continue;
                }
                if (! $this->approachable->isOpen($one)) {
                    $passed[$one->account_id] = [$one, $this->approachable->why($one)];
                } elseif ($taken < $most) {
                    $open[$one->account_id] = $one;
                    $taken++;
                }
            }
            if ($taken === $most) {
                return;
            }
        }
    }

    /**
     * @param  list<Standing>  $standings
     * @return list<PlanRow>
     */
    private function made(array $standings): array
    {
        $standings = new Collection($standings);
        $catalogue = RuleBook::catalogueOf(
            $this->offer->rules ?? throw new \LogicException('An offer without rules has no standings.'),
        );
        $lines = Ranking::lines($this->offer, $standings);
        $accounts = $standings->pluck('account_id')->all();
        $used = AngleUse::at($accounts);
        $ready = Reason::query()->inState('ready')->where('offer_id', $this->offer->id)
            ->where('user_id', $this->rep->id)->whereIn('account_id', $accounts)->oldest('id')->get()
            ->keyBy('account_id');
        $people = [];
        foreach ($standings as $standing) {
            $to = $this->approachable->people($standing);
            // Whom a reason is ready for comes first.
            $sought = $ready[$standing->account_id]->contact_id ?? null;
            usort($to, fn (Contact $a, Contact $b): int => ($b->id === $sought) <=> ($a->id === $sought));
            $people[$standing->account_id] = $to;
        }
        $foremost = collect(array_filter(array_map(fn (array $to): ?Contact => $to[0] ?? null, $people)))->values();
        CommonGround::load($foremost);
        $first = FirstSteps::for($this->offer, $this->rep, $foremost);
        $rows = [];
        foreach ($standings as $standing) {
            $reason = $ready[$standing->account_id] ?? null;
            $to = $people[$standing->account_id];
            $contact = $to[0] ?? null;
            $own = $lines[$standing->account_id];
            $rows[] = new PlanRow(
                $standing,
                $own,
                $contact,
                Drafts::of(
                    $this->offer, $standing->account, $contact, $own, used: $used[$standing->account_id] ?? [],
                ),
                $catalogue,
                array_slice($to, 1),
                $reason?->contact_id === $contact?->id ? $reason : null,
                $contact === null ? null : Steps::of(
                    $first, $contact->setRelation('account', $standing->account), $own, $this->barred,
                ),
            );
        }

        return $rows;
    }

    /** The same approach to another of its people, in words for them; the row itself where it is none of them. */
    public function addressed(PlanRow $row, int $contact, string $angle = ''): PlanRow
    {
        $people = [...$row->contact === null ? [] : [$row->contact], ...$row->others];
        $to = collect($people)->first(fn (Contact $one): bool => $one->id === $contact) ?? $row->contact;
        if ($to === $row->contact && ($angle === '' || $angle === $row->draft->angle)) {
            return $row;
        }
        $account = $row->standing->account;
        CommonGround::load(collect(array_filter([$to])));

        return new PlanRow(
            $row->standing,
            $row->lines,
            $to,
            Drafts::of(
                $this->offer, $account, $to, $row->lines, angle: $angle,
                used: AngleUse::at([$account->id])[$account->id] ?? [],
            ),
            $row->catalogue,
            array_values(array_filter($people, fn (Contact $one): bool => $one !== $to)),
            steps: $to === null ? null : Steps::of(
                FirstSteps::for($this->offer, $this->rep, collect([$to])), $to->setRelation('account', $account),
                $row->lines, $this->barred,
            ),
        );
    }

    /**
     * @param  bool  $ofOthers  those that a colleague's plan has: no two of us write to one company on a day
     * @return Builder<Standing>
     */
    private function candidates(StandingState $state, bool $ofOthers = false): Builder
    {
        $today = $this->rep->today()->toDateString();

        return (new Ranking($this->offer, $state, narrowed: $this->narrowed))->query()
            ->openTo($this->rep)
            ->whereIn(
                'standings.account_id',
                Reservation::query()->where('planned', true)->where('until', '>=', $today)
                    ->where('user_id', '<>', $this->rep->id)->select('account_id'),
                not: ! $ofOthers,
            )
            // Another of the same company is for another day.
            ->whereNotIn(
                'standings.account_id',
                Approach::query()->where('made_at', '>=', $this->rep->dayBegan())->select('account_id'),
            )
            // Approached without a name: all of the account is left alone for a while.
            ->whereNotIn(
                'standings.account_id',
                Approach::query()->whereNull('contact_id')->where('made_at', '>=', now()->subDays(self::REST))
                    ->select('account_id'),
            )
            ->whereNotIn(
                'standings.account_id',
                Approach::query()->where('later_on', '>', $today)->select('account_id'),
            )
            ->whereNotIn(
                'standings.account_id',
                Decision::query()->where('offer_id', $this->offer->id)->where('decision', 'later')
                    ->where('until', '>', $today)->select('account_id'),
            );
    }
}
