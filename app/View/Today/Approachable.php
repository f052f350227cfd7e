<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Contacts\ContactChoice;
use App\Contacts\ForemostContacts;
use App\KeepOut\EntriesInForce;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\User;
use App\View\Accounts\Narrowed;
use Illuminate\Database\Eloquent\Collection;
use Luftig\Core\Buying\Choice;
use Luftig\Core\Buying\Skip;

/**
 * In which accounts somebody is to be approached by a rep, and who; else why not: as it is when they are
 * first looked at, so that a plan that is made anew asks anew. Many are looked at together.
 */
final class Approachable
{
    /** @var array<int, Choice> by account */
    private array $choices = [];

    /** @var array<int|string, Contact> by id */
    private array $contacts = [];

    public function __construct(
        private readonly Offer $offer,
        private readonly User $rep,
        private readonly Narrowed $narrowed,
        private readonly EntriesInForce $barred,
    ) {
    }

    /** @param  Collection<int, Standing>  $standings  with `account` */
    public function look(Collection $standings): void
    {
        $new = $standings->reject(fn (Standing $one): bool => isset($this->choices[$one->account_id]))
            ->unique('account_id')->values();
        if ($new->isEmpty()) {
            return;
        }
        $contacts = $this->narrowed->people($new, ForemostContacts::of($this->offer, $new->toBase()))
            ->with('channels')->orderBy('id')->get();
        $this->contacts += $contacts->getDictionary();
        $this->choices += (new ContactChoice($this->offer, $this->rep, $this->barred))->of($new->toBase(), $contacts);
    }

    /** Whether somebody is to be contacted, or nobody is known yet. */
    public function isOpen(Standing $one): bool
    {
        $choice = $this->choices[$one->account_id];

        return $choice->taken !== [] || $choice->skipped === [] && ! $this->narrowed->isOfPeople();
    }

    /** @return list<Contact> whom rule 9 takes, the first first */
    public function people(Standing $one): array
    {
        return array_map(fn (int|string $id): Contact => $this->contacts[$id], $this->choices[$one->account_id]->taken);
    }

    /** The most telling of why nobody there is to be contacted. */
    public function why(Standing $one): ?Skip
    {
        $skips = array_values($this->choices[$one->account_id]->skipped);
        foreach ([Skip::AccountFull, Skip::Approached, Skip::Reserved, Skip::Held, Skip::NoWay] as $skip) {
            if (in_array($skip, $skips, true)) {
                return $skip;
            }
        }

        return $skips[0] ?? null;
    }
}
