<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Contacts\ContactChoice;
use App\Contacts\ForemostContacts;
use App\Contacts\TakeContact;
use App\Models\Account;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Luftig\Core\Buying\Choice;
use Luftig\Core\Buying\Skip;

/**
 * Reasons for those on a list at once, each in words of its own that rest on what is known there; of one company no
 * more than rule 9 lets it have, and no two by the same angle.
 */
final class ListReasons
{
    /** At once. */
    public const MOST = 50;

    /** Members that are looked at to find them. */
    private const LOOKED_AT = 400;

    /**
     * @param  list<array{contact: Contact, account: Account, draft: Proposal}>  $rows
     * @param  list<array{string, string}>  $leftOut  who, and why
     */
    private function __construct(
        private readonly Offer $offer,
        private readonly KeptList $list,
        private readonly User $rep,
        public array $rows,
        public array $leftOut,
    ) {
    }

    public static function of(Offer $offer, KeptList $list, User $rep): self
    {
        $ids = array_values($list->members()->limit(self::LOOKED_AT)->pluck('record_id')->all());
        $ofPeople = $list->subject === 'contacts';
        $members = $ofPeople ? Contact::query()->whereKey($ids)->whereNull('merged_into')->get() : null;
        $of = $members?->pluck('account_id', 'id')->all() ?? array_combine($ids, $ids);
        // In the order of the list.
        $accounts = array_values(array_unique(array_filter(
            array_map(fn (int $id): int => $of[$id] ?? 0, $ids),
        )));
        $standings = Standing::query()->where('offer_id', $offer->id)->whereIn('account_id', $accounts)
            ->with('account.places', 'account.industries', 'account.technologies')->get()->keyBy('account_id');
        $contacts = ForemostContacts::of($offer, $standings->values()->toBase(), $ofPeople ? $ids : [])
            ->when($ofPeople, fn ($query) => $query->whereIn('contacts.id', $ids))->with('channels')
            ->orderBy('id')->get();
        $choices = (new ContactChoice($offer, $rep))->of($standings->values()->toBase(), $contacts->toBase());
        $self = new self($offer, $list, $rep, [], []);
        $order = array_flip($accounts);
        $self->draft(
            $standings->sortBy(fn (Standing $one): int => $order[$one->account_id]), $contacts, $choices, $ofPeople,
        );

        return $self;
    }

    /**
     * @param  Collection<int, Standing>  $standings
     * @param  Collection<int, Contact>  $contacts
     * @param  array<int, Choice>  $choices
     */
    private function draft(Collection $standings, Collection $contacts, array $choices, bool $ofPeople): void
    {
        /** @var array<int|string, Contact> $byId */
        $byId = $contacts->keyBy('id')->all();
        $accounts = $standings->pluck('account_id')->all();
        $used = AngleUse::at($accounts);
        $ready = Reason::query()->inState('ready')->where('offer_id', $this->offer->id)
            ->whereIn('account_id', $accounts)->get()->groupBy('account_id');
        foreach ($standings as $standing) {
            $account = $standing->account;
            $choice = $choices[$account->id];
            if (! in_array($standing->state, [StandingState::Ranked, StandingState::Waiting], true)) {
                $this->leftOut[] = [$account->name, $standing->inWords()];

                continue;
            }
            foreach ($ofPeople ? $choice->skipped : [] as $id => $skip) {
                $this->leftOut[] = [$byId[$id]->name().", {$account->name}", $skip->label()];
            }
            $taken = $ofPeople ? $choice->taken : array_slice($choice->taken, 0, 1);
            if ($taken === [] && ! $ofPeople) {
                $skips = array_values($choice->skipped);
                $this->leftOut[] = [$account->name, ($skips[0] ?? Skip::NotEligible)->label()];
            }
            $angles = [...$used[$account->id] ?? []];
            foreach ($ready[$account->id] ?? [] as $reason) {
                $angles[] = [(string) ($reason->evidence['angle'] ?? ''), (int) $reason->contact_id, 0.0];
            }
            foreach ($taken as $id) {
                $angles = $this->one($standing, $byId[$id], $angles);
            }
        }
    }

    /**
     * @param  list<array{string, int, float}>  $used  angles there
     * @return list<array{string, int, float}> with the one that is proposed
     */
    private function one(Standing $standing, Contact $contact, array $used): array
    {
        $account = $standing->account;
        $who = $contact->name().", {$account->name}";
        $ready = array_filter($used, fn (array $one): bool => $one[1] === $contact->id && $one[2] === 0.0);
        if ($ready !== []) {
            $this->leftOut[] = [$who, 'a reason is ready already'];

            return $used;
        }
        if (count($this->rows) >= self::MOST) {
            $this->leftOut[] = [$who, 'more than '.self::MOST.' at once'];

            return $used;
        }
        $account->loadMissing(['signals' => fn ($signals) => $signals->with('contact')->ofOffer($this->offer)]);
        $draft = Drafts::of(
            $this->offer, $account, $contact,
            SignalLine::of($standing, $account->signals, RuleBook::catalogueOf(
                $this->offer->rules ?? throw new \LogicException('There are standings.'),
            )),
            onlyFresh: true, used: $used,
        );
        if ($draft->restsOn === [] && $draft->story === null && UndatedFacts::of($account) === []) {
            $this->leftOut[] = [$who, 'nothing fresh is known that words could rest on'];

            return $used;
        }
        $this->rows[] = ['contact' => $contact, 'account' => $account, 'draft' => $draft];

        return [...$used, [$draft->angle, $contact->id, 0.0]];
    }

    /**
     * @param  list<int>  $contacts  those for whom they are wanted
     * @return array{string, int} the mark by which they are taken back, and how many were recorded
     */
    public function record(array $contacts): array
    {
        $batch = (string) Str::uuid();
        $many = 0;
        foreach ($this->rows as $row) {
            if (! in_array($row['contact']->id, $contacts, true)
                || TakeContact::take($this->offer, $row['contact'], $this->rep) !== null) {
                continue;
            }
            $reason = RecordReason::proposed(
                $this->offer, $row['account'], $row['contact'], $this->rep, $row['draft']->words(), null,
                $row['draft']->angle, ['list' => $this->list->id, 'batch' => $batch],
            );
            $many += $reason === null ? 0 : 1;
        }

        return [$batch, $many];
    }
}
