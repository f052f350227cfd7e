<?php

declare(strict_types=1);

namespace App\View\Accounts;

use App\Models\Account;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Standings\SignalLine;
use App\View\Head;
use App\View\Tab;
use Illuminate\Pagination\LengthAwarePaginator;

/** The accounts of a state in an order, as a list or as a picture. */
final readonly class AccountsPage
{
    private const SIZE = 25;

    private const ASCENDING = ['name', 'act_by'];

    /**
     * @param  LengthAwarePaginator<int, Standing>  $standings
     * @param  array<int, list<SignalLine>>  $lines  by account
     */
    private function __construct(
        public Offer $offer,
        public Ranking $ranking,
        public LengthAwarePaginator $standings,
        private array $lines,
        public bool $isPicture,
    ) {
    }

    /** @param  array<string, mixed>  $query  of the address */
    public static function of(Offer $offer, array $query, int $page): self
    {
        $ranking = Ranking::from($offer, $query);
        $with = ['account' => fn ($account) => $account->with('places', 'industries', 'owner')->withMax(
            'approaches',
            'made_at',
        )];
        $standings = $ranking->page($page, self::SIZE, $with)->withQueryString();
        $isPicture = ($query['view'] ?? null) === 'picture' && $ranking->state === StandingState::Ranked;

        return new self($offer, $ranking, $standings, Ranking::lines($offer, $standings->getCollection()), $isPicture);
    }

    public function isRanked(): bool
    {
        return $this->ranking->state === StandingState::Ranked;
    }

    /** The address of the other way to look at the same. */
    public function otherView(): string
    {
        return route('accounts.index', $this->ranking->parameters() + ($this->isPicture ? [] : ['view' => 'picture']));
    }

    /** @return list<Tab> */
    public function tabs(): array
    {
        $counts = $this->ranking->counts();
        $search = array_filter(['q' => $this->ranking->search]) + $this->ranking->narrowed->parameters();

        return array_map(fn (StandingState $state): Tab => new Tab(
            $state->label(),
            route('accounts.index', ['tab' => $state->value] + $search),
            $state === $this->ranking->state,
            $counts[$state->value] ?? 0,
        ), StandingState::cases());
    }

    /** @return list<Head> */
    public function heads(): array
    {
        $ranked = $this->isRanked();
        $why = $ranked || $this->ranking->state === StandingState::Waiting ? 'Why now' : 'Why';

        return array_values(array_filter([
            $this->sorted($ranked ? 'Priority' : 'Points', 'priority', true),
            $this->sorted('Account', 'name'),
            Head::text($why),
            $this->sorted('Fit', 'fit', true),
            $this->sorted('Timing', 'timing', true),
            $this->sorted('Access', 'access', true),
            $ranked ? $this->sorted('Act by', 'act_by') : null, Head::text('Owner'), Head::text('Last approach'),
            $ranked ? $this->sorted('In a week', 'moved', true) : null,
        ]));
    }

    /** @return list<AccountRow> */
    public function rows(): array
    {
        return array_map(fn (Standing $standing): AccountRow => new AccountRow(
            $standing, $this->lines[$standing->account_id], $this->address($standing->account),
        ), array_values($this->standings->items()));
    }

    private function address(Account $account): string
    {
        return route('accounts.show', [$account] + $this->ranking->parameters());
    }

    private function sorted(string $label, string $sort, bool $isNumber = false): Head
    {
        $url = route('accounts.index', ['sort' => $sort] + $this->ranking->parameters());
        $direction = in_array($sort, self::ASCENDING, true) ? 'ascending' : 'descending';
        $sorted = $sort === $this->ranking->sort ? $direction : null;

        return $isNumber ? Head::number($label, $url, $sorted) : Head::text($label, $url, $sorted);
    }
}
