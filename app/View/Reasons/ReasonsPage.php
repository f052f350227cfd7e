<?php

declare(strict_types=1);

namespace App\View\Reasons;

use App\Models\Approach;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Result;
use App\Models\User;
use App\Support\Format;
use App\Support\Like;
use App\View\Tab;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Pagination\LengthAwarePaginator;

/** The book of reasons: ready, used, expired. */
final readonly class ReasonsPage
{
    private const SIZE = 20;

    private const WORDS = 170;

    private const LATER = 30;

    private const STATES = [
        'ready' => 'Ready', 'used' => 'Used', 'open' => 'No answer yet', 'expired' => 'Expired',
    ];

    /**
     * @param  LengthAwarePaginator<int, Reason>  $reasons
     * @param  array<string, int>  $counts  by state
     */
    private function __construct(
        public string $state,
        public string $search,
        public LengthAwarePaginator $reasons,
        private array $counts,
    ) {
    }

    /** @param  User|null  $rep  of whose approaches alone those without an answer are shown; null: of everybody's */
    public static function of(Offer $offer, string $state, string $search, ?User $rep = null): self
    {
        $state = isset(self::STATES[$state]) ? $state : 'ready';
        $find = fn (string $in): Builder => Reason::query()->where('offer_id', $offer->id)->inState($in)
            ->with('account', 'contact', 'user', 'approaches')
            ->when($in === 'open' && $rep !== null, fn (Builder $query) => $query->whereHas(
                'approaches', fn (Builder $made) => $made->where('user_id', $rep?->id)->whereNull('result'),
            ))
            ->when($search !== '', fn (Builder $query) => $query->where(fn (Builder $either) => $either
                ->where('words', 'like', Like::anywhere($search))
                ->orWhereHas(
                    'account',
                    fn (Builder $account) => $account->where('name', 'like', Like::anywhere($search)),
                )));

        return new self(
            $state,
            $search,
            $find($state)->latest()->orderByDesc('id')->paginate(self::SIZE)->withQueryString(),
            array_map(
                fn (string $one): int => $find($one)->count(),
                array_combine(array_keys(self::STATES), array_keys(self::STATES)),
            ),
        );
    }

    /** @return list<Tab> */
    public function tabs(): array
    {
        return array_map(fn (string $state, string $label): Tab => new Tab(
            $label,
            route('reasons.index', ['state' => $state] + array_filter(['q' => $this->search])),
            $state === $this->state,
            $this->counts[$state],
        ), array_keys(self::STATES), self::STATES);
    }

    /**
     * What can have come of an approach, by a key each.
     *
     * @return array<int, array{result: Result, says: string}> key → result
     */
    public function results(): array
    {
        $results = [];
        foreach (Result::cases() as $i => $result) {
            $results[$i + 1] = ['result' => $result, 'says' => $result === Result::Later
                ? 'later, '.Format::day($this->later()) : $result->label()];
        }

        return $results;
    }

    /** When one comes back to whom a key puts off. */
    public function later(): CarbonImmutable
    {
        return CarbonImmutable::today()->addDays(self::LATER);
    }

    /**
     * @return list<array{url: string, title: string, words: string, by: string, when: string, result: string|null,
     *     open: Approach|null}>
     */
    public function rows(): array
    {
        return array_map(function (Reason $reason): array {
            $last = $reason->approaches->first();

            return [
                'url' => route('reasons.show', $reason),
                'words' => Format::cut($reason->words, self::WORDS),
                'by' => $reason->user->name,
                'title' => $reason->account->name.($reason->contact === null ? '' : ', '.$reason->contact->name()),
                'when' => match (true) {
                    $last !== null => $last->kind->label().', '.Format::ago($last->made_at),
                    $this->state === 'expired' && $reason->expires_on > today() => 'rests on what was struck out',
                    $this->state === 'expired' => 'expired '.Format::ago($reason->expires_on),
                    default => 'good until '.Format::day($reason->expires_on->subDay()),
                },
                'result' => $last === null ? null : $last->result?->label() ?? 'no result yet',
                'open' => $this->state === 'open' ? $last : null,
            ];
        }, array_values($this->reasons->items()));
    }
}
