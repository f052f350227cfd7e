<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Models\Account;
use App\Models\Contact;
use App\Models\FeedItem;
use App\Models\Opening;
use App\Support\Format;
use App\Support\FunctionNames;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Text\Fold;

/** What an account seeks: since when, how many, in whose function; and what it sought before. */
final readonly class SoughtRoles
{
    private const MOST = 60;

    /**
     * @param  Collection<int, Opening>  $open  the newest first
     * @param  Collection<int, Opening>  $closed
     */
    private function __construct(private Account $account, private Collection $open, private Collection $closed)
    {
    }

    public static function of(Account $account): self
    {
        $now = CarbonImmutable::now();
        $all = Opening::query()->with('items')->where('account_id', $account->id)->orderByDesc('newest_at')
            ->limit(self::MOST)->get();
        $isOpen = fn (Opening $one): bool => $one->closed_at === null || $one->closed_at > $now;

        return new self($account, $all->filter($isOpen)->values(), $all->reject($isOpen)->values());
    }

    public function isEmpty(): bool
    {
        return $this->open->isEmpty() && $this->closed->isEmpty();
    }

    /** How many, since when the oldest, and in which functions most. */
    public function about(): string
    {
        $since = $this->open->min('since');

        return $since === null ? 'nobody at present' : Format::line(
            Format::count($this->open->count(), 'opening'),
            'since '.Format::date(CarbonImmutable::parse($since)),
        );
    }

    /** @return list<array{title: string, about: string, item: FeedItem|null, lead: string|null}> */
    public function open(): array
    {
        return $this->lines($this->open);
    }

    /** @return list<array{title: string, about: string, item: FeedItem|null, lead: string|null}> */
    public function closed(): array
    {
        return $this->lines($this->closed);
    }

    public function saysClosed(): string
    {
        return Format::count($this->closed->count(), 'opening').' closed';
    }

    /**
     * @param  Collection<int, Opening>  $openings
     * @return list<array{title: string, about: string, item: FeedItem|null, lead: string|null}>
     */
    private function lines(Collection $openings): array
    {
        return array_values($openings->map(function (Opening $one): array {
            $author = $one->items->map(fn (FeedItem $item): array => (array) ($item->facts['author'] ?? []))
                ->filter(fn (array $one): bool => ($one['name'] ?? '') !== '')->last();

            return [
                'title' => $one->title, 'item' => $one->items->last(), 'lead' => $this->lead($author),
                'about' => Format::line(
                    $one->place,
                    'since '.Format::date($one->since),
                    $one->postings > 1 ? Format::count($one->postings, 'posting') : null,
                    implode(', ', array_map(
                        FunctionNames::of(...),
                        BusinessFunction::in($one->functions),
                    )) ?: null,
                    $author === null ? null : "put up by {$author['name']}",
                    $one->closed_at?->isPast() === true ? 'closed '.Format::date($one->closed_at) : null,
                ),
            ];
        })->all());
    }

    /**
     * Where whoever put it up, a lead to a contact and no more (rule 17), is added as one; nothing where they are one.
     *
     * @param  array<string, string>|null  $author
     */
    private function lead(?array $author): ?string
    {
        if ($author === null || $this->account->contacts()->get()->contains(
            fn (Contact $one): bool => Fold::words($one->name()) === Fold::words($author['name']),
        )) {
            return null;
        }
        $parts = preg_split('/\s+/u', trim($author['name'])) ?: [];
        $last = array_pop($parts);

        return route('accounts.show', array_filter([
            'account' => $this->account->id, 'first_name' => implode(' ', $parts), 'last_name' => $last,
            'email' => $author['email'] ?? null,
        ])).'#new-person';
    }
}
