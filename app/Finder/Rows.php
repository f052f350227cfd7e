<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use Illuminate\Support\Collection;
use Luftig\Core\Finder\Subject;
use Luftig\Core\Priority\Part;

/** Those who were found, with what is shown of them, in the order given. */
final readonly class Rows
{
    /** @var array<int, array{float, string}> contact → priority and part */
    private array $ranked;

    /**
     * @param  Collection<int, Standing>  $standings  by account
     * @param  list<Account|Contact>  $records
     */
    private function __construct(public array $records, public Collection $standings)
    {
        $ranked = [];
        foreach ($standings as $standing) {
            foreach ($standing->contacts ?? [] as [$id, $priority, $part]) {
                $ranked[$id] = [$priority, $part];
            }
        }
        $this->ranked = $ranked;
    }

    /** @param  list<int>  $ids */
    public static function of(Offer $offer, Subject $subject, array $ids): self
    {
        $found = $subject === Subject::Accounts
            ? Account::query()->with('places', 'industries', 'owner')->withCount('contacts')->whereIn('id', $ids)->get()->keyBy('id')
            : Contact::query()->with('account.places', 'account.industries', 'account.owner', 'channels', 'posts.account')->whereIn('id', $ids)->get()->keyBy('id');
        $records = array_values(array_filter(array_map(fn (int $id) => $found[$id] ?? null, $ids)));
        $accounts = array_map(fn (Account|Contact $record): int => $record instanceof Account ? $record->id : $record->account_id, $records);

        return new self($records, Standing::query()->with('account')->where('offer_id', $offer->id)->whereIn('account_id', $accounts)->get()->keyBy('account_id'));
    }

    public function standing(Account|Contact $record): ?Standing
    {
        return $this->standings[$record instanceof Account ? $record->id : $record->account_id] ?? null;
    }

    public function part(Contact $contact): ?Part
    {
        return Part::tryFrom($this->ranked[$contact->id][1] ?? '');
    }

    /** The priority of an account, or of a contact. */
    public function priority(Account|Contact $record): ?float
    {
        return $record instanceof Account ? $this->standing($record)?->priority : $this->ranked[$record->id][0] ?? null;
    }
}
