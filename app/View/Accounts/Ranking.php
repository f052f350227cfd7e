<?php

declare(strict_types=1);

namespace App\View\Accounts;

use App\Finder\Computed;
use App\Models\Offer;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\StandingState;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Support\Like;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Pagination\Paginator;
use Illuminate\Support\Collection;

/** The rows of the accounts screen, and the order in which one steps through them. */
final readonly class Ranking
{
    public const SORTS = ['priority', 'name', 'fit', 'timing', 'access', 'act_by', 'moved'];

    public Narrowed $narrowed;

    public function __construct(
        private Offer $offer,
        public StandingState $state,
        public string $sort = 'priority',
        public string $search = '',
        ?Narrowed $narrowed = null,
    ) {
        $this->narrowed = $narrowed ?? Narrowed::none($offer);
    }

    /** @param  array<string, mixed>  $query of an address */
    public static function from(Offer $offer, array $query): self
    {
        $text = fn (string $name): string => is_string($query[$name] ?? null) ? $query[$name] : '';
        $sort = $text('sort');

        return new self(
            $offer,
            StandingState::tryFrom($text('tab')) ?? StandingState::Ranked,
            in_array($sort, self::SORTS, true) ? $sort : 'priority',
            mb_substr(trim($text('q')), 0, 100),
            Narrowed::from($offer, $query),
        );
    }

    /** @return Builder<Standing> */
    public function query(): Builder
    {
        $query = $this->unordered()->select('standings.*');
        if ($this->search === '') {
            $query->join('accounts', 'accounts.id', '=', 'standings.account_id');
        }

        match ($this->sort) {
            'name' => $query->orderBy('accounts.name'),
            'fit' => $query->orderByDesc('fit'),
            'timing' => $query->orderByDesc('push'),
            'access' => $query->orderByDesc('access'),
            'act_by' => $query->orderByRaw('act_by IS NULL, act_by'),
            'moved' => $query->orderByRaw('moved IS NOT NULL, moved DESC'),
            default => $query,
        };

        // Ties by rule 6: earlier act-by first, then fit, then name.
        return $query->orderByDesc('points')->orderByRaw('act_by IS NULL, act_by')->orderByDesc('fit')
            ->orderBy('accounts.name')->orderBy('accounts.id');
    }

    /**
     * Those of a query in the order of points that can be among its first. Their least points are found by key, so that
     * only they, and not a hundred thousand, are put in order.
     *
     * @param  Builder<Standing>  $query
     * @param  'points'|'score'  $by  what it is ordered by
     * @return Builder<Standing>
     */
    public static function among(Builder $query, int $first, string $by = 'points'): Builder
    {
        $least = (clone $query)->reorder()->select($by)->orderByDesc($by)->offset($first - 1)->limit(1)
            ->toBase()->value($by);

        // As a number, since only then are those above it looked up by the key; a little less of it, since not all its
        // digits come along.
        return $least === null ? $query : (clone $query)->whereRaw("$by >= ".sprintf('%.12F', $least - 1e-6));
    }

    /**
     * @param  array<string, Closure>  $with  what is loaded along
     * @return LengthAwarePaginator<int, Standing>
     */
    public function page(int $number, int $size, array $with): LengthAwarePaginator
    {
        return new LengthAwarePaginator(
            $this->first($number * $size)->with($with)->forPage($number, $size)->get(),
            $this->count(),
            $size,
            $number,
            ['path' => Paginator::resolveCurrentPath()],
        );
    }

    /** @return Builder<Standing> the whole order, or only those who can be among its first */
    private function first(int $most): Builder
    {
        return $this->sort === 'priority' ? self::among($this->query(), $most) : $this->query();
    }

    public function count(): int
    {
        return $this->search === '' ? $this->counts()[$this->state->value] ?? 0 : $this->unordered()->count();
    }

    /** @return Builder<Standing> */
    private function unordered(): Builder
    {
        return $this->narrowed
            ->among(Standing::query()->where('offer_id', $this->offer->id)->where('state', $this->state))
            ->when(
                $this->search !== '',
                fn (Builder $q) => $q->join('accounts', 'accounts.id', '=', 'standings.account_id')->where(
                    fn (Builder $either) => Like::orAscii(
                        $either->where('accounts.name', 'like', Like::anywhere($this->search)),
                        'accounts.domain',
                        Like::anywhere($this->search),
                    ),
                ),
            );
    }

    /** @return array<string, int> how many there are in each state */
    public function counts(): array
    {
        // All of a hundred thousand are not counted for each page.
        return once(fn (): array => $this->narrowed->isNarrow() ? $this->counted()
            : Computed::of('states', $this->offer, [], $this->counted(...)));
    }

    /** @return array<string, int> */
    private function counted(): array
    {
        return $this->narrowed->among(Standing::query()->where('offer_id', $this->offer->id))->groupBy('state')
            ->selectRaw('state, COUNT(*) AS n')->toBase()->pluck('n', 'state')->all();
    }

    /**
     * @param  Collection<int, Standing>  $standings
     * @return array<int, list<SignalLine>> account → its lines
     */
    public static function lines(Offer $offer, Collection $standings): array
    {
        $ids = $standings->flatMap(fn (Standing $standing): array => array_column($standing->lines, 0));
        $signals = Signal::query()->with('contact')->whereIn('id', $ids)->get()->keyBy('id');
        $catalogue = RuleBook::catalogueOf(
            $offer->rules ?? throw new \LogicException('An offer without rules has no standings.'),
        );

        return $standings->mapWithKeys(fn (Standing $standing): array => [
            $standing->account_id => SignalLine::of($standing, $signals, $catalogue),
        ])
            ->all();
    }

    /**
     * @return array{before: int|null, after: int|null, position: int|null, of: int} the neighbours of an account in
     *     this order
     */
    public function around(int $account): array
    {
        [$ids, $ahead] = $this->sort === 'priority'
            ? $this->near($account)
            : [$this->query()->pluck('account_id')->all(), 0];
        $at = array_search($account, $ids, true);

        return ! is_int($at)
            ? [
                'before' => null, 'after' => $this->first(1)->value('account_id'), 'position' => null,
                'of' => $this->count(),
            ]
            : [
                'before' => $ids[$at - 1] ?? null, 'after' => $ids[$at + 1] ?? null, 'position' => $ahead + $at + 1,
                'of' => $this->count(),
            ];
    }

    /**
     * Those of the same points as an account, with those of the next higher and the next lower.
     *
     * @return array{list<int>, int} in order, and how many come before all of these
     */
    private function near(int $account): array
    {
        $own = Standing::query()->select('points')->where('offer_id', $this->offer->id)->where('account_id', $account);
        $higher = $this->unordered()->where('points', '>', $own)->reorder()->select('points')->orderBy('points')
            ->limit(1);
        $lower = $this->unordered()->where('points', '<', $own)->reorder()->select('points')->orderByDesc('points')
            ->limit(1);
        $ids = [];
        foreach ([$higher, $own, $lower] as $points) {
            array_push($ids, ...$this->query()->where('points', '=', $points)->pluck('account_id')->all());
        }

        return [
            $ids,
            $this->unordered()->where('points', '>', $own)->count()
                - $this->unordered()->where('points', '=', $higher)->count(),
        ];
    }

    /** @return array<string, string> what an address needs to come back to this order */
    public function parameters(): array
    {
        return array_filter(
            ['tab' => $this->state->value, 'sort' => $this->sort, 'q' => $this->search],
            fn (string $value): bool => $value !== '' && $value !== 'priority' && $value !== 'ranked',
        ) + $this->narrowed->parameters();
    }
}
