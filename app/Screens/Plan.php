<?php

declare(strict_types=1);

namespace App\Screens;

use App\Models\Approach;
use App\Models\Contact;
use App\Models\Decision;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\User;
use App\Standings\Barred;
use App\Standings\StandingState;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/**
 * Today's approaches of a rep, first form of rule 18: accounts that are hers or nobody's, and that nobody is working on.
 * Those whose act-by day is within three working days come first, for at most a third; then by priority; then waiting ones.
 */
final readonly class Plan
{
    public const GROUPS = ['hours' => 'Hours count', 'week' => 'This week', 'fortnight' => 'Within two weeks', 'later' => 'Later', 'waiting' => 'Fits, no occasion yet'];

    /** Days in which an approach by anyone keeps an account out of the plan. */
    private const REST = 14;

    private const HURRY = 3;

    public function __construct(private Offer $offer, private User $rep)
    {
    }

    public function usedToday(): int
    {
        return Approach::query()->where('user_id', $this->rep->id)->where('made_at', '>=', today())->count();
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
        $hurry = (clone $ranked)->whereBetween('act_by', [today(), today()->addWeekdays(self::HURRY)])->limit((int) ceil($left / 3))->get();
        $rest = (clone $ranked)->whereNotIn('standings.account_id', $hurry->pluck('account_id'))->limit($left - $hurry->count())->get();
        $taken = $hurry->concat($rest);
        $waiting = $this->candidates(StandingState::Waiting)->where('push', '>=', 0)->limit($left - $taken->count())->get();
        $all = $taken->concat($waiting);
        $all->load('account.places', 'account.industries');
        $lines = Ranking::lines($this->offer, $all);
        $barred = Barred::now();
        $contacts = $this->contacts($all, $barred);

        $groups = array_fill_keys(array_keys(self::GROUPS), []);
        foreach ($all as $standing) {
            $own = $lines[$standing->account_id];
            $contact = self::choose($contacts[$standing->account_id] ?? collect(), $own);
            $reach = $contact === null ? null : Reach::of($contact, $barred);
            $groups[$this->group($standing)][] = new PlanRow($standing, $own, $contact, $reach, Drafting::of($standing->account->name, $contact, $own));
        }

        return array_filter($groups);
    }

    /** What comes first when today's pace is used up. */
    public function next(): ?Standing
    {
        return $this->candidates(StandingState::Ranked)->with('account')->first();
    }

    /** @return Builder<Standing> */
    private function candidates(StandingState $state): Builder
    {
        return (new Ranking($this->offer, $state))->query()
            ->where(fn (Builder $q) => $q->whereNull('accounts.owner_id')->orWhere('accounts.owner_id', $this->rep->id))
            ->whereNotIn('standings.account_id', Approach::query()->where('made_at', '>=', now()->subDays(self::REST))->where(fn ($q) => $q->whereNull('result')->orWhereNotIn('result', ['bounced', 'left_post', 'wrong_person']))->select('account_id'))
            ->whereNotIn('standings.account_id', Approach::query()->where('later_on', '>', today())->select('account_id'))
            ->whereNotIn('standings.account_id', Decision::query()->where('offer_id', $this->offer->id)->where('decision', 'later')->where('until', '>', today())->select('account_id'));
    }

    /**
     * @param  Collection<int, Standing>  $standings
     * @return Collection<int, Collection<int, Contact>> account → contacts that may be approached, the best reached first
     */
    private function contacts(Collection $standings, Barred $barred): Collection
    {
        return Contact::query()->with('channels')->whereIn('account_id', $standings->pluck('account_id'))->orderBy('id')->get()
            ->filter(fn (Contact $contact): bool => $barred->contact($contact->id) === null)
            ->groupBy('account_id')
            ->map(fn (Collection $group): Collection => $group->sortByDesc(fn (Contact $contact): float => Reach::of($contact, $barred)->access, SORT_REGULAR)->values());
    }

    /**
     * Whoever the strongest signal is about, else whoever is reached best.
     *
     * @param  Collection<int, Contact>  $contacts
     * @param  list<Line>  $lines
     */
    public static function choose(Collection $contacts, array $lines): ?Contact
    {
        foreach ($lines as $line) {
            $about = $line->push > 0 ? $contacts->firstWhere('id', $line->signal->contact_id) : null;
            if ($about !== null) {
                return $about;
            }
        }

        return $contacts->first();
    }

    private function group(Standing $standing): string
    {
        if ($standing->state === StandingState::Waiting) {
            return 'waiting';
        }
        $days = $standing->act_by === null ? 999 : CarbonImmutable::today()->diffInDays($standing->act_by);

        return match (true) {
            $days < 0 => 'later',
            $days <= 1 => 'hours',
            $standing->act_by <= CarbonImmutable::today()->endOfWeek() => 'week',
            $days <= 14 => 'fortnight',
            default => 'later',
        };
    }
}
