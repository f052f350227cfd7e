<?php

declare(strict_types=1);

namespace App\View\Accounts;

use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** The part of the work that somebody looks at: those on a list, those in a buyer role, or both. */
final readonly class Narrowed
{
    /** Lists that are offered. */
    private const LISTS = 100;

    /** @param  int|null  $at  place of the role in the rules, as standings tell it */
    private function __construct(private Offer $offer, public ?KeptList $list, public ?string $role, private ?int $at)
    {
    }

    public static function none(Offer $offer): self
    {
        return new self($offer, null, null, null);
    }

    /**
     * @param  array<array-key, mixed>  $asked  list, the number of one; role, the name of one; what is gone is nothing
     */
    public static function from(Offer $offer, array $asked): self
    {
        $list = is_numeric($asked['list'] ?? null)
            ? KeptList::query()->where('offer_id', $offer->id)->find((int) $asked['list'])
            : null;
        $at = array_search($asked['role'] ?? null, self::named($offer), true);

        return new self($offer, $list, $at === false ? null : self::named($offer)[$at], $at === false ? null : $at);
    }

    /** What a rep chose for Today, until something else is chosen. */
    public static function ofToday(Offer $offer, User $rep): self
    {
        return self::from($offer, $rep->narrowed[$offer->id] ?? []);
    }

    public function isNarrow(): bool
    {
        return $this->list !== null || $this->role !== null;
    }

    /** “only those on Norway, in the role Maintenance” */
    public function says(): string
    {
        return 'only '.implode(', ', array_filter([
            $this->list === null ? null : "those on “{$this->list->name}”",
            $this->role === null ? null : "people in the role {$this->role}",
        ]));
    }

    /** @return array<string, string> what an address, or a rep, keeps of it */
    public function parameters(): array
    {
        return array_filter(['list' => (string) $this->list?->id, 'role' => (string) $this->role]);
    }

    /** @return array<int|string, string> */
    public function lists(): array
    {
        return once(fn (): array => ['' => 'any list or none'] + KeptList::query()->where('offer_id', $this->offer->id)
            ->latest('id')->limit(self::LISTS)->pluck('name', 'id')->all());
    }

    /** @return array<string, string> */
    public function roles(): array
    {
        $names = self::named($this->offer);

        return ['' => 'any role'] + array_combine($names, $names);
    }

    /** Whether there is anything to choose from. */
    public function isPossible(): bool
    {
        return count($this->lists()) > 1 || count($this->roles()) > 1;
    }

    /**
     * Accounts that are on the list, or of whom somebody is, and in which somebody is in the role.
     *
     * @param  Builder<Standing>  $standings
     * @return Builder<Standing>
     */
    public function among(Builder $standings): Builder
    {
        if ($this->list !== null) {
            $members = DB::table('list_members')->where('list_id', $this->list->id)->select('record_id');
            $standings->whereIn('standings.account_id', $this->list->subject === 'accounts'
                ? $members
                : Contact::query()->whereIn('id', $members)->select('account_id'));
        }

        // Each of the people stands there as [contact, priority, part, place of the role].
        return $this->at === null ? $standings : $standings->where('standings.contacts', 'like', "%,{$this->at}]%");
    }

    /** Whether it is people that are meant, and not accounts as a whole. */
    public function isOfPeople(): bool
    {
        return $this->at !== null || $this->list?->subject === 'contacts';
    }

    /**
     * The people of these accounts who are meant.
     *
     * @param  iterable<Standing>  $standings
     * @param  Builder<Contact>  $contacts
     * @return Builder<Contact>
     */
    public function people(iterable $standings, Builder $contacts): Builder
    {
        if ($this->list?->subject === 'contacts') {
            $contacts->whereIn('contacts.id', DB::table('list_members')->where('list_id', $this->list->id)
                ->select('record_id'));
        }
        if ($this->at !== null) {
            $ids = [];
            foreach ($standings as $standing) {
                foreach ($standing->contacts ?? [] as $row) {
                    if (($row[3] ?? null) === $this->at) {
                        $ids[] = $row[0];
                    }
                }
            }
            $contacts->whereIn('contacts.id', $ids);
        }

        return $contacts;
    }

    /** @return list<string> */
    private static function named(Offer $offer): array
    {
        return array_column($offer->rules->buyer_roles ?? [], 'name');
    }
}
