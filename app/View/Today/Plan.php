<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Channels\Reach;
use App\Contacts\ContactChoice;
use App\Contacts\ForemostContacts;
use App\KeepOut\EntriesInForce;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\Decision;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Reasons\AngleUse;
use App\Reasons\Drafts;
use App\View\Accounts\Narrowed;
use App\View\Accounts\Ranking;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;

/**
 * Today's approaches of a rep, first form of rule 18: accounts that are hers or nobody's, each with the first person
 * whom rule 9 takes. Those whose act-by day is within three working days come first, for at most a third; then by
 * priority; then waiting ones.
 */
final readonly class Plan
{
    public const GROUPS = [
        'hours' => 'Hours count', 'week' => 'This week', 'fortnight' => 'Within two weeks', 'later' => 'Later',
        'waiting' => 'Fits, no occasion yet',
    ];

    private const CHUNK = 40;

    private const FEWEST = 10;

    private const REST = 14;

    private const HURRY = 3;

    public Narrowed $narrowed;

    public function __construct(private Offer $offer, private User $rep)
    {
        $this->narrowed = Narrowed::ofToday($offer, $rep);
    }

    public function usedToday(): int
    {
        return Approach::query()->todayBy($this->rep)->count();
    }

    public function left(): int
    {
        return max(0, $this->rep->pace - $this->usedToday());
    }

    /** @return array<string, list<PlanRow>> by group, in the order of GROUPS */
    public function groups(): array
    {
        $left = $this->left();
        $ranked = $this->candidates(StandingState::Ranked);
        $rows = $this->rows(
            (clone $ranked)->whereBetween('act_by', [today(), today()->addWeekdays(self::HURRY)]),
            (int) ceil($left / 3),
        );
        $rows = [...$rows, ...$this->rows(
            (clone $ranked)->whereNotIn(
                'standings.account_id',
                array_map(fn (PlanRow $row): int => $row->standing->account_id, $rows),
            ),
            $left - count($rows),
        )];
        $rows = [
            ...$rows,
            ...$this->rows($this->candidates(StandingState::Waiting)->where('push', '>=', 0), $left - count($rows)),
        ];
        $groups = array_fill_keys(array_keys(self::GROUPS), []);
        foreach ($rows as $row) {
            $groups[$this->group($row->standing)][] = $row;
        }

        return array_filter($groups);
    }

    /** One account as the plan would have it; null where it has no place in it. */
    public function row(int $account): ?PlanRow
    {
        foreach ([StandingState::Ranked, StandingState::Waiting] as $state) {
            $rows = $this->rows($this->candidates($state)->where('standings.account_id', $account), 1);
            if ($rows !== []) {
                return $rows[0];
            }
        }

        return null;
    }

    /**
     * The first of these accounts in which somebody is to be contacted, or nobody is known yet.
     *
     * @param  Builder<Standing>  $candidates
     * @return list<PlanRow>
     */
    private function rows(Builder $candidates, int $most): array
    {
        $rows = [];
        $barred = EntriesInForce::now();
        $choosing = new ContactChoice($this->offer, $this->rep);
        // Most are taken; so few more than are wanted are looked at first.
        $chunk = max(self::FEWEST, min(self::CHUNK, 2 * $most));
        for ($page = 1; count($rows) < $most; $page++) {
            $standings = Ranking::among($candidates, $page * $chunk)->with('account.places', 'account.industries')
                ->forPage($page, $chunk)->get();
            $contacts = $this->narrowed->people($standings, ForemostContacts::of($this->offer, $standings->toBase()))
                ->with('channels')->orderBy('id')->get();
            $choices = $choosing->of($standings->toBase(), $contacts);
            /** @var array<int|string, Contact> $byId */
            $byId = $contacts->keyBy('id')->all();
            $taken = $standings
                ->filter(
                    fn (Standing $one): bool => $choices[$one->account_id]->taken !== []
                        || $choices[$one->account_id]->skipped === [] && ! $this->narrowed->isOfPeople(),
                )
                ->take($most - count($rows));
            $lines = Ranking::lines($this->offer, $taken);
            $used = AngleUse::at($taken->pluck('account_id')->all());
            foreach ($taken as $standing) {
                $choice = $choices[$standing->account_id];
                $people = array_map(fn (int|string $id): Contact => $byId[$id], $choice->taken);
                $contact = $people[0] ?? null;
                $own = $lines[$standing->account_id];
                $rows[] = new PlanRow(
                    $standing,
                    $own,
                    $contact,
                    $contact === null ? null : Reach::of($contact, $barred),
                    Drafts::of(
                        $this->offer, $standing->account, $contact, $own, used: $used[$standing->account_id] ?? [],
                    ),
                    array_slice($people, 1),
                );
            }
            if ($standings->count() < $chunk) {
                break;
            }
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

        return new PlanRow(
            $row->standing,
            $row->lines,
            $to,
            $to === null ? null : Reach::of($to, EntriesInForce::now()),
            Drafts::of(
                $this->offer, $account, $to, $row->lines, angle: $angle,
                used: AngleUse::at([$account->id])[$account->id] ?? [],
            ),
            array_values(array_filter($people, fn (Contact $one): bool => $one !== $to)),
        );
    }

    /** What comes first when today's pace is used up. */
    public function next(): ?Standing
    {
        return Ranking::among($this->candidates(StandingState::Ranked), 1)->with('account')->first();
    }

    /** @return Builder<Standing> */
    private function candidates(StandingState $state): Builder
    {
        return (new Ranking($this->offer, $state, narrowed: $this->narrowed))->query()
            ->where(fn (Builder $q) => $q->whereNull('accounts.owner_id')->orWhere('accounts.owner_id', $this->rep->id))
            // Approached without a name: all of the account is left alone for a while.
            ->whereNotIn(
                'standings.account_id',
                Approach::query()->whereNull('contact_id')->where('made_at', '>=', now()->subDays(self::REST))
                    ->select('account_id'),
            )
            ->whereNotIn(
                'standings.account_id',
                Approach::query()->where('later_on', '>', today())->select('account_id'),
            )
            ->whereNotIn(
                'standings.account_id',
                Decision::query()->where('offer_id', $this->offer->id)->where('decision', 'later')
                    ->where('until', '>', today())->select('account_id'),
            );
    }

    private function group(Standing $standing): string
    {
        if ($standing->state === StandingState::Waiting) {
            return 'waiting';
        }
        if ($standing->act_by === null) {
            return 'later';
        }
        $days = CarbonImmutable::today()->diffInDays($standing->act_by);

        return match (true) {
            $days < 0 => 'later',
            $days <= 1 => 'hours',
            $standing->act_by <= CarbonImmutable::today()->endOfWeek() => 'week',
            $days <= 14 => 'fortnight',
            default => 'later',
        };
    }
}
