<?php

declare(strict_types=1);

namespace App\View\Network;

use App\Finder\Reachability;
use App\Finder\ResultRows;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Relation;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\Station;
use App\Models\User;
use App\Network\Ties;
use App\Support\Format;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\Subject;

/** Whom we know, the best first, and through whom of us. */
final readonly class NetworkPage
{
    private const SIZE = 20;

    private const TIES = 3;

    private const ASKS = 200;

    private const TARGETS = 100;

    private const SHOWN = 6;

    /** A way that is stronger than this is one. */
    private const WAY = .1;

    private const KNOWN = [['f' => 'reach', 'w' => 'anyone', 'n' => '1'], ['f' => 'kept_out', 'x' => '1']];

    public const KINDS = [
        'position' => 'a company', 'school' => 'a school', 'association' => 'an association',
        'place' => 'a town one lived in',
    ];

    /**
     * @param  LengthAwarePaginator<int, mixed>  $pages
     * @param  Collection<int, Station>  $stations
     * @param  list<int>  $targets  the best ranked accounts, the first first
     */
    private function __construct(
        private Offer $offer,
        private Search $search,
        private ResultRows $rows,
        private Ties $ties,
        public LengthAwarePaginator $pages,
        private Collection $stations,
        private array $targets,
    ) {
    }

    public static function of(Offer $offer, int $page): self
    {
        $search = Search::from($offer, ['on' => 'contacts', 'c' => self::KNOWN]);
        $rows = ResultRows::of($offer, Subject::Contacts, array_slice(
            $search->ids($page * self::SIZE),
            ($page - 1) * self::SIZE,
        ));
        /** @var Collection<int, Contact> $contacts */
        $contacts = collect($rows->records);

        return new self(
            $offer,
            $search,
            $rows,
            new Ties($contacts),
            new LengthAwarePaginator($rows->records, $search->total(), self::SIZE, $page, ['path' => route('network')]),
            Station::query()->with('user', 'account')->orderBy('user_id')->orderByDesc('since')->get(),
            array_values(Standing::query()->where('offer_id', $offer->id)->where('state', StandingState::Ranked)
                ->orderByDesc('points')->limit(self::TARGETS)->pluck('account_id')->all()),
        );
    }

    public function about(): string
    {
        return Format::count($this->search->total(), 'contact').' in '
            .Format::count($this->search->accounts(), 'account').' known to one of us';
    }

    public function inFinder(): string
    {
        return route('finder', $this->search->parameters());
    }

    /**
     * @return array<int, array{contact: Contact, ties: list<array{user: User, strength: float, because: string,
     *     known: string}>, priority: string}>
     */
    public function rows(): array
    {
        return array_map(fn (Contact $contact): array => [
            'contact' => $contact, 'ties' => array_map(
                fn (array $tie): array => $tie + ['known' => Format::percent($tie['strength'])],
                array_slice($this->ties->of($contact), 0, self::TIES),
            ),
            'priority' => Format::priority($this->rows->priority($contact)),
        ], array_filter($this->rows->records, fn ($record): bool => $record instanceof Contact));
    }

    /**
     * @return list<array{user: User, book: string, within: string, url: string|null}> of us, with how many each knows
     */
    public function people(): array
    {
        $books = Relation::query()->selectRaw('user_id, COUNT(*) AS size')->groupBy('user_id')
            ->pluck('size', 'user_id');
        $reached = array_fill_keys($this->search->ids(), true);
        $people = [];
        $stamp = Reachability::stamp($this->offer);
        foreach (User::query()->orderBy('name')->get() as $user) {
            $known = Reachability::from((string) $user->id, '1', false)->ids($this->offer, $stamp);
            $within = count(array_intersect_key($reached, array_fill_keys($known, true)));
            $people[] = [count($known), [
                'user' => $user,
                'book' => Format::number((int) ($books[$user->id] ?? 0)),
                'within' => Format::number($within),
                'url' => $within === 0 ? null : route('finder', ['on' => 'contacts', 'c' => [
                    ['f' => 'reach', 'w' => $user->id, 'n' => '1'], ['f' => 'kept_out', 'x' => '1'],
                ]]),
            ]];
        }
        usort($people, fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column($people, 1);
    }

    /** @return list<array{name: string, says: string}> who opens most of the best ranked accounts */
    public function introducers(): array
    {
        $opened = DB::table('contacts')->whereIn('account_id', $this->targets)->where('intro', '>=', self::WAY)
            ->whereNotNull('intro_by')->groupBy('intro_by')
            ->selectRaw('intro_by, COUNT(DISTINCT account_id) AS n')->orderByDesc('n')->orderBy('intro_by')
            ->limit(self::SHOWN)->pluck('n', 'intro_by')->all();
        $names = User::query()->whereKey(array_keys($opened))->pluck('name', 'id');

        return array_map(fn (int $id, int $n): array => [
            'name' => (string) $names[$id], 'says' => "a way into $n of the best ".count($this->targets),
        ], array_keys($opened), array_values($opened));
    }

    /** @return list<array{id: int, name: string}> of the best ranked accounts, the first that nobody of us reaches */
    public function gaps(): array
    {
        $reached = DB::table('contacts')->whereIn('account_id', $this->targets)->where('intro', '>=', self::WAY)
            ->distinct()->pluck('account_id')->all();
        $gaps = array_slice(array_values(array_diff($this->targets, $reached)), 0, self::SHOWN);
        $names = Account::query()->whereKey($gaps)->pluck('name', 'id');

        return array_map(fn (int $id): array => ['id' => $id, 'name' => (string) $names[$id]], $gaps);
    }

    /** @return list<array{name: string, lately: string, came: string, last: string}> who was asked for introductions */
    public function asked(): array
    {
        return array_values(Ask::query()->with('askedUser', 'askedContact')->latest('asked_at')->limit(self::ASKS)
            ->get()->groupBy(fn (Ask $ask): string => $ask->introducer())
            ->map(function (Collection $asks, int|string $name): array {
                $good = $asks->whereIn('state', [AskState::Agreed, AskState::PassedOn])->count();

                return [
                    'name' => (string) $name,
                    'lately' => Format::count(
                        $asks->where('asked_at', '>=', now()->subDays(Ask::LATELY))->count(), 'time',
                    ).' in '.Ask::LATELY.' days',
                    'came' => "$good of {$asks->count()} agreed"
                        .(($waits = $asks->where('state', AskState::Asked)->count()) === 0 ? ''
                            : ", $waits not answered yet"),
                    'last' => route('asks.show', $asks->first() ?? throw new \LogicException('A group has one.')),
                ];
            })->all());
    }

    /** @return array<int, array{station: Station, about: string}> where we were */
    public function stations(): array
    {
        return $this->stations->map(fn (Station $station): array => [
            'station' => $station,
            'about' => implode(', ', array_filter([
                $station->user->name, $station->title,
                $station->kind === 'position' ? Format::months($station->since, $station->until) : $station->kind,
            ])),
        ])->all();
    }

    /** @return array<int, string> of whom one may say it */
    public function whose(User $reader): array
    {
        return [$reader->id => 'I'] + $reader->speaksFor();
    }
}
