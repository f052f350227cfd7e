<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Feeds\Formats;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\FeedRun;
use App\Models\ItemState;
use App\Support\Format;
use App\View\Tab;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Laravel\Sanctum\PersonalAccessToken;

/** One feed: how it is set, its runs, and what it brought. */
final readonly class FeedPage
{
    private const RUNS = 12;

    private const SIZE = 25;

    private const COUNTED = ['came', 'created', 'changed', 'same', 'gone', 'waiting', 'refused', 'signals'];

    /**
     * @param  Collection<int, FeedRun>  $runs
     * @param  LengthAwarePaginator<int, FeedItem>  $items
     * @param  array<string, int>  $counts  by state
     */
    private function __construct(
        public FeedLine $line,
        private Collection $runs,
        public LengthAwarePaginator $items,
        private array $counts,
        private ?ItemState $state,
    ) {
    }

    public static function of(Feed $feed, ?ItemState $state): self
    {
        return new self(
            FeedLine::of($feed),
            $feed->runs()->limit(self::RUNS)->get(),
            $feed->items()->with('account', 'signals')->when($state, fn ($query) => $query->where('state', $state))
                ->paginate(self::SIZE)->withQueryString(),
            $feed->items()->reorder()->toBase()->selectRaw('state, COUNT(*) AS many')->groupBy('state')
                ->pluck('many', 'state')->all(),
            $state,
        );
    }

    public function feed(): Feed
    {
        return $this->line->feed;
    }

    public function about(): string
    {
        $next = $this->feed()->next_at;

        return Format::line(
            $this->line->format(),
            ! $this->feed()->isAsked() ? null : Rhythms::of($this->feed()->rhythm),
            Format::percent($this->feed()->confidence).' sure',
            $this->feed()->paused ? 'paused' : ($next === null ? null : 'next '.Format::moment($next)),
        );
    }

    public function becomes(): string
    {
        if ($this->feed()->isPosted()) {
            return 'What it posts becomes signals of the kind that it names, or facts of accounts.';
        }

        return ucfirst(Formats::named($this->feed()->format)::kind()->label()).'s become '
            .Formats::named($this->feed()->format)::kind()->becomes().'.';
    }

    /** @return list<array{id: int, says: string}> who may post as it */
    public function tokens(): array
    {
        return array_values($this->feed()->tokens()->latest('id')->get()
            ->map(fn (PersonalAccessToken $token): array => ['id' => (int) $token->getKey(), 'says' => Format::line(
                implode(' and ', $token->abilities ?? []),
                $token->last_used_at === null ? 'not used yet' : 'used '.Format::ago($token->last_used_at),
            )])->all());
    }

    public function example(string $token): string
    {
        return implode(" \\\n  ", [
            'curl -X POST '.route('api.signals'), "-H 'Authorization: Bearer $token'",
            "-H 'Content-Type: application/cloudevents+json'",
            "-d '".json_encode([
                'specversion' => '1.0', 'id' => '1', 'source' => '/try', 'type' => 'example.own_engagement',
                'data' => ['domain' => 'tunhede.example', 'deed' => 'asked', 'title' => 'Asked for a price'],
            ], JSON_UNESCAPED_SLASHES)."'",
        ]);
    }

    /** @return list<array{run: FeedRun, counts: list<string>, says: string}> the newest first */
    public function runs(): array
    {
        return array_values($this->runs->map(fn (FeedRun $run): array => [
            'run' => $run,
            'counts' => array_map(
                fn (string $count): string => Format::number((int) $run->getAttribute($count)),
                self::COUNTED,
            ),
            'says' => $run->problem ?? ($run->finished_at === null ? 'under way' : 'done'),
        ])->all());
    }

    /** @return list<Tab> */
    public function tabs(): array
    {
        $tab = fn (string $label, ?ItemState $state, int $count): Tab => new Tab(
            $label,
            route('feeds.show', [$this->feed()] + ($state === null ? [] : ['state' => $state->value])),
            $state === $this->state,
            $count,
        );

        return [
            $tab('All', null, array_sum($this->counts)),
            ...array_map(
                fn (ItemState $state): Tab => $tab(ucfirst($state->label()), $state, $this->counts[$state->value]),
                array_values(array_filter(
                    ItemState::cases(),
                    fn (ItemState $state): bool => ($this->counts[$state->value] ?? 0) > 0,
                )),
            ),
        ];
    }

    /** @return list<ItemLine> */
    public function items(): array
    {
        return array_map(ItemLine::of(...), array_values($this->items->items()));
    }
}
