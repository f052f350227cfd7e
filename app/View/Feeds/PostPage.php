<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Models\Candidate;
use App\Models\CandidateState;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\ItemKind;
use App\Models\Signal;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\Subject;
use Luftig\Core\Signal\Kind;

/** One post: its author, and everyone who commented on it, passed it on or reacted, with what we know of each. */
final readonly class PostPage
{
    private const DEEDS = ['wrote', 'commented', 'passed on', 'reacted'];

    /**
     * @param  Collection<int, FeedItem>  $items  what was told of it, the newest first
     * @param  Collection<int, Signal>  $signals  of contacts
     * @param  Collection<int, Candidate>  $candidates
     */
    private function __construct(
        public string $address,
        private Collection $items,
        private Collection $signals,
        private Collection $candidates,
        private ?Feed $feed,
    ) {
    }

    public static function of(string $address): self
    {
        return new self(
            $address,
            FeedItem::query()->where('link', $address)->where('kind', ItemKind::Deed)->latest('at')->get(),
            Signal::query()->with('contact.account')->where('link', $address)->whereNotNull('contact_id')
                ->where('kind', Kind::PostEngagement)->latest('occurred_at')->get()->unique('contact_id')->values(),
            Candidate::query()->where('state', CandidateState::Open)->whereIn(
                'id',
                DB::table('candidate_deeds')->where('link', $address)->select('candidate_id'),
            )->orderBy('name')->get(),
            Feed::query()->where('address', $address)->first(),
        );
    }

    public function title(): string
    {
        $topic = $this->items->map(fn (FeedItem $one): ?string => $one->facts['topic'] ?? null)->filter()->first();

        return $topic === null ? 'A post' : "A post on “{$topic}”";
    }

    /** What it says, where a source tells that. */
    public function says(): ?string
    {
        return $this->written()?->facts['quote'] ?? $this->items
            ->map(fn (FeedItem $one): ?string => $one->facts['about'] ?? null)->filter()->first();
    }

    /** Who wrote it, and when. */
    public function author(): ?string
    {
        $item = $this->written();

        return $item === null ? null : Format::line(
            $item->facts['name'] ?? 'somebody', $item->facts['title'] ?? null, $item->facts['company'] ?? null,
            $item->at === null ? null : Format::ago($item->at),
        );
    }

    public function about(): string
    {
        return Format::line(
            Format::count($this->signals->count(), 'contact'), Format::count($this->candidates->count(), 'candidate'),
        );
    }

    /** Whether a source is being asked for it, or has said nothing yet. */
    public function isAsked(): bool
    {
        return $this->feed !== null && $this->items->isEmpty() && $this->feed->problem === null;
    }

    public function problem(): ?string
    {
        return $this->feed?->problem;
    }

    /**
     * @return list<array{name: string, url: string, account: string, did: string, at: CarbonImmutable,
     *     quote: string|null}>
     */
    public function contacts(): array
    {
        $rows = [];
        foreach ($this->signals as $signal) {
            if ($signal->contact !== null) {
                $rows[] = [
                    'name' => $signal->contact->name(), 'url' => route('contacts.show', $signal->contact),
                    'account' => Format::line($signal->contact->title, $signal->contact->account->name),
                    'did' => $signal->facts['deed'] ?? lcfirst($signal->title), 'at' => $signal->occurred_at,
                    'quote' => $signal->quote,
                ];
            }
        }

        return self::ordered($rows);
    }

    /** @return list<array{name: string, profile: string, known: string, did: string, at: CarbonImmutable}> */
    public function candidates(): array
    {
        $deeds = DB::table('candidate_deeds')->where('link', $this->address)
            ->whereIn('candidate_id', $this->candidates->pluck('id'))->orderBy('occurred_at')->get()
            ->keyBy('candidate_id');
        $rows = [];
        foreach ($this->candidates as $one) {
            $deed = $deeds[$one->id] ?? null;
            if ($deed !== null) {
                $rows[] = [
                    'name' => $one->name, 'profile' => $one->profile,
                    'known' => Format::line($one->title, $one->company), 'did' => (string) $deed->deed,
                    'at' => CarbonImmutable::parse((string) $deed->occurred_at, 'UTC'),
                ];
            }
        }

        return self::ordered($rows);
    }

    /** The contacts, to be narrowed further by title, technology or growth. */
    public function inFinder(): string
    {
        return route('finder', ['on' => Subject::Contacts->value, 'c' => [
            ['f' => 'event', 'w' => 'person', 'v' => Kind::PostEngagement->value, 'q' => '"'.$this->address.'"'],
        ]]);
    }

    private function written(): ?FeedItem
    {
        return $this->items->first(fn (FeedItem $one): bool => ($one->facts['deed'] ?? '') === 'wrote');
    }

    /**
     * Those first who did most, the newest first.
     *
     * @template T of array<string, mixed>
     *
     * @param  list<T>  $rows
     * @return list<T>
     */
    private static function ordered(array $rows): array
    {
        usort($rows, fn (array $a, array $b): int => [array_search($a['did'], self::DEEDS, true), $b['at']]
            <=> [array_search($b['did'], self::DEEDS, true), $a['at']]);

        return $rows;
    }
}
