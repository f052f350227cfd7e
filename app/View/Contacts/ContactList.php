<?php

declare(strict_types=1);

namespace App\View\Contacts;

use App\Finder\Computed;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Support\Like;
use Generator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\Part;
use SplPriorityQueue;

/**
 * Everybody who takes part in buying at ranked and waiting accounts, the best first.
 *
 * A standing holds its people in order; their lists are merged as far as one reads, so that a page costs what it shows.
 */
final readonly class ContactList
{
    private const CHUNK = 100;

    public const FOUND = 2000;

    private const STATES = [StandingState::Ranked, StandingState::Waiting];

    /** @var array<int, true>|null contacts whose name or title is searched for; null: everybody */
    private ?array $found;

    /** @param  array<int, true>|null  $found  where they are known already, since looking for them takes long */
    public function __construct(
        private Offer $offer,
        public ?Part $part = null,
        public string $search = '',
        ?array $found = null,
    ) {
        $this->found = $search === '' ? null : $found ?? self::find($search);
    }

    /** @param  array<string, mixed>  $query of an address */
    public static function from(Offer $offer, array $query): self
    {
        $text = fn (string $name): string => is_string($query[$name] ?? null) ? trim($query[$name]) : '';

        return new self($offer, Part::tryFrom($text('part')), mb_substr($text('q'), 0, 100));
    }

    /** Whether more are called so than are looked at. */
    public function isCut(): bool
    {
        return count($this->found ?? []) > self::FOUND;
    }

    /** @return array<string, int> part → how many there are; '' for all */
    public function counts(): array
    {
        $parts = array_diff(array_column(Part::cases(), 'value'), [Part::Blocker->value]);
        if ($this->found !== null) {
            $counts = array_fill_keys($parts, 0);
            foreach ((new self($this->offer, null, $this->search, $this->found))->rows() as [, , $part]) {
                $counts[$part]++;
            }
        } else {
            $counts = Computed::of('parts', $this->offer, [], fn (): array => $this->counted($parts));
        }

        return ['' => array_sum($counts)] + $counts;
    }

    /**
     * @param  array<string>  $parts
     * @return array<string, int>
     */
    private function counted(array $parts): array
    {
        $sums = Standing::query()->where('offer_id', $this->offer->id)->whereIn('state', self::STATES)->selectRaw(
            implode(', ', array_map(fn (string $part): string => "COALESCE(SUM(`$part`), 0) AS `$part`", $parts)),
        )->toBase()->first();

        return array_map(intval(...), (array) $sums);
    }

    /** @return list<array{int, float, string, int}> contact, priority, part, account */
    public function page(int $number, int $size): array
    {
        $page = [];
        $skip = ($number - 1) * $size;
        foreach ($this->rows() as $i => $row) {
            if ($i >= $skip) {
                $page[] = $row;
            }
            if (count($page) === $size) {
                break;
            }
        }

        return $page;
    }

    /** @return Generator<int, array{int, float, string, int}> contact, priority, part, account; the best first */
    public function rows(): Generator
    {
        if ($this->found === []) {
            return;
        }
        $queue = new SplPriorityQueue;
        $queue->setExtractFlags(SplPriorityQueue::EXTR_DATA);
        $number = 0;
        foreach ($this->standings() as $standing) {
            while (! $queue->isEmpty() && $queue->top()[1] >= $standing->best_contact) {
                yield $number++ => $queue->extract();
            }
            foreach (json_decode($standing->contacts, true) as [$id, $priority, $part]) {
                if (
                    ($this->part === null || $part === $this->part->value)
                    && ($this->found === null || isset($this->found[$id]))
                ) {
                    $queue->insert([$id, (float) $priority, $part, $standing->account_id], [$priority, -$id]);
                }
            }
        }
        while (! $queue->isEmpty()) {
            yield $number++ => $queue->extract();
        }
    }

    /** @return array<string, string> what an address needs to come back to this list */
    public function parameters(): array
    {
        return array_filter(
            ['part' => (string) $this->part?->value, 'q' => $this->search],
            fn (string $value): bool => $value !== '',
        );
    }

    /** @return Generator<\stdClass> the best contact first */
    private function standings(): Generator
    {
        // Each page begins behind the last of the one before, so that none is skipped or told twice while they change.
        $query = DB::table('standings')->where('offer_id', $this->offer->id)
            ->whereIn('state', array_column(self::STATES, 'value'))->whereNotNull('best_contact')
            ->when(
                $this->found !== null,
                fn ($query) => $query->whereIn(
                    'account_id',
                    Contact::query()->whereIn('id', array_keys($this->found ?? []))->select('account_id'),
                ),
            )
            ->orderByDesc('best_contact')->orderBy('account_id')->select('account_id', 'best_contact', 'contacts');
        $last = null;
        do {
            $rows = (clone $query)->limit(self::CHUNK)->when(
                $last !== null,
                fn ($query) => $query->where(fn ($either) => $either->where('best_contact', '<', $last?->best_contact)
                    ->orWhere(fn ($same) => $same->where('best_contact', $last?->best_contact)
                        ->where('account_id', '>', $last?->account_id))),
            )->get();
            yield from $rows;
            $last = $rows->last();
        } while ($rows->count() === self::CHUNK);
    }

    /** @return array<int, true> */
    private static function find(string $search): array
    {
        $words = preg_split('/\s+/', $search) ?: [];
        $ids = Contact::query()->whereNull('merged_into')->where(function (Builder $query) use ($words): void {
            foreach ($words as $word) {
                $like = Like::begins($word);
                $query->where(
                    fn (Builder $either) => $either->where('first_name', 'like', $like)
                        ->orWhere('last_name', 'like', $like)
                        ->orWhere('title', 'like', '%'.$like),
                );
            }
        })->limit(self::FOUND + 1)->pluck('id')->all();

        return array_fill_keys($ids, true);
    }
}
