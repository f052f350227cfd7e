<?php

declare(strict_types=1);

namespace App\Screens;

use App\Models\Offer;
use App\Models\Signal;
use App\Models\Standing;
use App\Standings\RuleBook;
use App\Standings\StandingState;
use App\Support\Like;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** The rows of the accounts screen, and the order in which one steps through them. */
final readonly class Ranking
{
    public const SORTS = ['priority', 'name', 'fit', 'timing', 'access', 'act_by', 'moved'];

    public function __construct(private Offer $offer, public StandingState $state, public string $sort = 'priority', public string $search = '')
    {
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
        );
    }

    /** @return Builder<Standing> */
    public function query(): Builder
    {
        $query = Standing::query()->select('standings.*')->join('accounts', 'accounts.id', '=', 'standings.account_id')
            ->where('offer_id', $this->offer->id)->where('state', $this->state)
            ->when($this->search !== '', fn (Builder $q) => $q->where(fn (Builder $either) => Like::orAscii($either->where('accounts.name', 'like', Like::anywhere($this->search)), 'accounts.domain', Like::anywhere($this->search))));

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
        return $query->orderByDesc('points')->orderByRaw('act_by IS NULL, act_by')->orderByDesc('fit')->orderBy('accounts.name')->orderBy('accounts.id');
    }

    /** @return array<string, int> how many there are in each state */
    public function counts(): array
    {
        return Standing::query()->where('offer_id', $this->offer->id)->groupBy('state')->selectRaw('state, COUNT(*) AS n')->toBase()->pluck('n', 'state')->all();
    }

    /**
     * @param  Collection<int, Standing>  $standings
     * @return array<int, list<Line>> account → its lines
     */
    public static function lines(Offer $offer, Collection $standings): array
    {
        $ids = $standings->flatMap(fn (Standing $standing): array => array_column($standing->lines, 0));
        $signals = Signal::query()->with('contact')->whereIn('id', $ids)->get()->keyBy('id');
        $catalogue = RuleBook::catalogueOf($offer->rules ?? throw new \LogicException('An offer without rules has no standings.'));

        return $standings->mapWithKeys(fn (Standing $standing): array => [$standing->account_id => Line::of($standing, $signals, $catalogue)])->all();
    }

    /** @return array{before: int|null, after: int|null, position: int|null, of: int} the neighbours of an account in this order */
    public function around(int $account): array
    {
        $ids = $this->query()->pluck('account_id')->all();
        $at = array_search($account, $ids, true);

        return ! is_int($at)
            ? ['before' => null, 'after' => $ids[0] ?? null, 'position' => null, 'of' => count($ids)]
            : ['before' => $ids[$at - 1] ?? null, 'after' => $ids[$at + 1] ?? null, 'position' => $at + 1, 'of' => count($ids)];
    }

    /** @return array<string, string> what an address needs to come back to this order */
    public function parameters(): array
    {
        return array_filter(['tab' => $this->state->value, 'sort' => $this->sort, 'q' => $this->search], fn (string $value): bool => $value !== '' && $value !== 'priority' && $value !== 'ranked');
    }
}
