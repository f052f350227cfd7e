<?php

declare(strict_types=1);

namespace App\View\Contacts;

use App\Channels\Reach;
use App\KeepOut\EntriesInForce;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use App\Standings\SignalLine;
use App\Support\Format;
use App\View\Accounts\Ranking;
use App\View\Tab;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Luftig\Core\Buying\Part;

/** Who takes part in buying, the best first. */
final readonly class ContactsPage
{
    private const SIZE = 25;

    /**
     * @param  array<string, int>  $counts  by part
     * @param  LengthAwarePaginator<int, array{int, float, string, int}>  $pages
     * @param  Collection<int, Contact>  $contacts
     * @param  Collection<int, Standing>  $standings  by account
     * @param  array<int, list<SignalLine>>  $lines  by account
     */
    private function __construct(
        public Offer $offer,
        public ContactList $list,
        private array $counts,
        public LengthAwarePaginator $pages,
        private Collection $contacts,
        private Collection $standings,
        private array $lines,
        private EntriesInForce $barred,
    ) {
    }

    /** @param  array<string, mixed>  $query  of the address */
    public static function of(Offer $offer, array $query, int $page): self
    {
        $list = ContactList::from($offer, $query);
        $counts = $list->counts();
        $rows = $list->page($page, self::SIZE);
        $standings = Standing::query()->where('offer_id', $offer->id)->whereIn('account_id', array_column($rows, 3))
            ->with('account.places')->get()->keyBy('account_id');
        $total = $counts[$list->part->value ?? ''];
        $pages = new LengthAwarePaginator($rows, $total, self::SIZE, $page, ['path' => route('contacts.index')]);

        return new self(
            $offer,
            $list,
            $counts,
            $pages->withQueryString(),
            Contact::query()->with('channels', 'positions.account')->whereIn('id', array_column($rows, 0))->get()
                ->keyBy('id'),
            $standings,
            $standings->isEmpty() ? [] : Ranking::lines($offer, $standings),
            EntriesInForce::now(),
        );
    }

    /** So many who are called alike are looked at. */
    public function most(): string
    {
        return Format::number(ContactList::FOUND);
    }

    /** The title looked for, where all of them are looked at. */
    public function inFinder(): string
    {
        return route('finder', ['on' => 'contacts', 'c' => [['f' => 'title', 'q' => $this->list->search]]]);
    }

    /** @return list<Tab> */
    public function tabs(): array
    {
        return array_map(fn (string $part, int $count): Tab => new Tab(
            $part === '' ? 'All' : ucfirst(Part::from($part)->label()),
            route('contacts.index', array_filter(['part' => $part, 'q' => $this->list->search])),
            $part === ($this->list->part->value ?? ''),
            $count,
        ), array_keys($this->counts), $this->counts);
    }

    public function isEmpty(): bool
    {
        return $this->pages->isEmpty();
    }

    public function hasRoles(): bool
    {
        return ($this->offer->rules->buyer_roles ?? []) !== [];
    }

    /**
     * @return list<array{contact: Contact, url: string, priority: string, part: string, account: \App\Models\Account,
     *     about: string, line: SignalLine|null, times: Tenure, way: string, isBarred: bool}>
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->pages->items() as [$id, $priority, $part, $account]) {
            $contact = $this->contacts[$id] ?? null;
            $standing = $this->standings[$account] ?? null;
            if ($contact === null || $standing === null) {
                continue;
            }
            $isBarred = $this->barred->contact($id) !== null;
            $rows[] = [
                'contact' => $contact,
                'url' => route('contacts.show', $contact),
                'priority' => Format::priority($priority),
                'part' => Part::from($part)->label(), 'account' => $standing->account,
                'about' => Format::line($standing->account->headquarters()?->city, $standing->priority === null
                    ? 'waiting' : 'priority '.Format::priority($standing->priority)),
                'line' => $this->strongest($id, $account), 'times' => Tenure::of($contact),
                'way' => $isBarred ? 'kept out' : Reach::of($contact, $this->barred)->label(), 'isBarred' => $isBarred,
            ];
        }

        return $rows;
    }

    /** Their own strongest signal, or else the account's. */
    private function strongest(int $contact, int $account): ?SignalLine
    {
        return collect($this->lines[$account])
            ->sortByDesc(fn (SignalLine $line): array => [$line->signal->contact_id === $contact, $line->push])
            ->first();
    }
}
