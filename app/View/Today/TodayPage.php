<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Contacts\ReservePlan;
use App\Models\Approach;
use App\Models\Offer;
use App\Models\User;
use App\Models\Watch;
use App\Support\Format;
use App\View\Accounts\Narrowed;
use Illuminate\Support\Collection;

/** What stands on Today: the plan in its groups, the approach in focus, steps that are due, and what was done. */
final readonly class TodayPage
{
    private const STEPS = 5;

    private const TOMORROW = 5;

    /**
     * @param  array<string, list<PlanRow>>  $groups
     * @param  list<array{account: int, name: string, why: string}>  $leftOut
     * @param  list<PlanRow>  $tomorrow  what a new day would begin with, where this one is done
     * @param  Collection<int, Approach>  $steps  that are due
     * @param  Collection<int, Approach>  $done  today
     */
    private function __construct(
        public Offer $offer,
        private User $rep,
        public array $groups,
        public TodayFocus $inFocus,
        public string $lead,
        public array $leftOut,
        public array $tomorrow,
        public ?string $hurry,
        public bool $isDone,
        public Collection $steps,
        public Collection $done,
        public Narrowed $narrowed,
    ) {
    }

    /**
     * @param  int  $focus  the account that is in focus, where it is in the plan
     * @param  int  $to  the contact whom its words are for, where it is one of those to contact there
     * @param  string  $angle  by which they are spoken to, where it is another than the heaviest
     */
    public static function of(Offer $offer, User $rep, int $focus, int $to = 0, string $angle = ''): self
    {
        $plan = new Plan($offer, $rep);
        $day = $plan->today();
        // Of two who plan at once, the quicker has whom both would approach; the other plans anew. Who leads may look.
        if (! $rep->leads() && ! ReservePlan::keep($offer, $rep, $day->contacts())) {
            $plan = new Plan($offer, $rep);
            $day = $plan->today();
            ReservePlan::keep($offer, $rep, $day->contacts());
        }
        $groups = $day->groups();
        $rows = array_merge(...array_values($groups));
        $planned = self::named($rows, $focus) ?? $rows[0] ?? null;
        $row = $planned === null ? null : $plan->addressed($planned, $to, $angle);
        $groups = array_map(
            fn (array $rows): array => array_map(
                fn (PlanRow $one): PlanRow => $one === $planned ? $row ?? $one : $one,
                $rows,
            ),
            $groups,
        );
        $hours = count($groups['hours'] ?? []);

        return new self(
            $offer,
            $rep,
            array_combine(array_map(fn (string $key): string => Planned::GROUPS[$key], array_keys($groups)), $groups),
            new TodayFocus($offer, $row, $rep, $plan->barred),
            self::lead($plan, $rep),
            $day->leftOut(),
            $plan->left() === 0 ? $plan->tomorrow(self::TOMORROW) : [],
            $hours === 0 ? null : ($hours === 1 ? 'One has' : "$hours have").' only hours.',
            $plan->left() === 0,
            Approach::query()->with('account', 'contact')->where('user_id', $rep->id)->whereNull('result')
                ->where('next_step_on', '<=', $rep->today()->toDateString())->orderBy('next_step_on')
                ->limit(self::STEPS)->get(),
            Approach::query()->with('account', 'contact')->todayBy($rep)->latest('made_at')->get(),
            $plan->narrowed,
        );
    }

    public function justIn(): JustIn
    {
        return JustIn::of($this->rep);
    }

    /** @return list<array{says: string, url: string}> watches of the rep with somebody new */
    public function newcomers(): array
    {
        $watches = Watch::query()->where('offer_id', $this->offer->id)->where('user_id', $this->rep->id)
            ->orderBy('name')
            ->get()
            ->map(fn (Watch $watch): array => [
                'n' => $watch->newcomers()->where('unread', true)->count(), 'name' => $watch->name,
                'url' => route('watches.show', $watch),
            ])
            ->filter(fn (array $one): bool => $one['n'] > 0)
            ->map(fn (array $one): array => [
                'says' => Format::count($one['n'], 'newcomer')." of “{$one['name']}”", 'url' => $one['url'],
            ])->all();

        return array_values($watches);
    }

    public function why(): string
    {
        if ($this->narrowed->isNarrow()) {
            return "Today shows {$this->narrowed->says()}, and none of them can be approached.";
        }

        return WhyNobody::says($this->offer) ?? 'Of those that are ranked, nobody can be approached today.';
    }

    public function isFocus(PlanRow $row): bool
    {
        return $row === $this->inFocus->focus;
    }

    /** Where an approach is told of. */
    public function at(Approach $approach): string
    {
        return $approach->reason_id === null
            ? route('accounts.show', $approach->account_id)
            : route('reasons.show', $approach->reason_id);
    }

    /** @param  list<PlanRow>  $rows */
    private static function named(array $rows, int $account): ?PlanRow
    {
        foreach ($rows as $row) {
            if ($row->standing->account_id === $account) {
                return $row;
            }
        }

        return null;
    }

    private static function lead(Plan $plan, User $rep): string
    {
        $left = $plan->left();
        if ($left > 0) {
            return Format::count($left, 'approach', 'approaches').' left in your pace.';
        }

        return $plan->leftOfWeek() === 0
            ? "Done for this week: all {$rep->paceOfWeek()} approaches of it are made."
            : "Done for today: {$plan->usedToday()} of {$rep->pace} approaches made.";
    }
}
