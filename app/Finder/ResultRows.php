<?php

declare(strict_types=1);

namespace App\Finder;

use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use Closure;
use Illuminate\Support\Collection;
use Luftig\Core\Buying\Part;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Search\Subject;

/** Those who were found, with what is shown of them, in the order given. */
final readonly class ResultRows
{
    /** @var array<int, array{float, string}> contact → priority and part */
    private array $ranked;

    /**
     * @param  Collection<int, Standing>  $standings  by account
     * @param  list<Account|Contact>  $records
     * @param  Closure(Account|Contact, Standing): array{string, string}|null  $reasons  why now, and a draft
     * @param  array<int, list<string>>  $matched  id → for what it was found
     */
    private function __construct(
        public array $records,
        public Collection $standings,
        private EntriesInForce $barred,
        private ?Closure $reasons,
        private array $matched,
    ) {
        $ranked = [];
        foreach ($standings as $standing) {
            foreach ($standing->contacts ?? [] as [$id, $priority, $part]) {
                $ranked[$id] = [$priority, $part];
            }
        }
        $this->ranked = $ranked;
    }

    /**
     * @param  list<int>  $ids
     * @param  Closure(Collection<int, Standing>): Closure|null  $reasons  makes what says why now, where that is asked
     *     for
     * @param  Search|null  $by  which found them, where it is to be said for what
     */
    public static function of(
        Offer $offer,
        Subject $subject,
        array $ids,
        ?Closure $reasons = null,
        ?Search $by = null,
    ): self {
        $found = $subject === Subject::Accounts
            ? Account::query()->with('places', 'industries', 'owner', 'technologies', 'extras')->withCount(
                'contacts',
            )->whereIn('id', $ids)->get()->keyBy('id')
            : Contact::query()->with(
                'account.places', 'account.industries', 'account.owner', 'account.technologies', 'account.extras',
                'channels',
                'positions.account',
            )->whereIn('id', $ids)->get()->keyBy('id');
        $records = array_values(array_filter(array_map(fn (int $id) => $found[$id] ?? null, $ids)));
        $accounts = array_map(
            fn (Account|Contact $record): int => $record instanceof Account ? $record->id : $record->account_id,
            $records,
        );

        $standings = Standing::query()->where('offer_id', $offer->id)->whereIn('account_id', $accounts)->get()
            ->keyBy('account_id');
        foreach ($records as $record) {
            $account = $record instanceof Account ? $record : $record->account;
            ($standings[$account->id] ?? null)?->setRelation('account', $account);
        }

        return new self(
            $records, $standings, EntriesInForce::now(), $reasons === null ? null : $reasons($standings),
            $by === null ? [] : Matched::of($offer, $by, $records),
        );
    }

    public function standing(Account|Contact $record): ?Standing
    {
        return $this->standings[$record instanceof Account ? $record->id : $record->account_id] ?? null;
    }

    /** What speaks for the account now, the strongest first, each with its day; null where it was not asked for. */
    public function why(Account|Contact $record): ?string
    {
        return $this->reason($record)[0] ?? null;
    }

    public function draft(Account|Contact $record): ?string
    {
        return $this->reason($record)[1] ?? null;
    }

    /** @return list<string> for what it was found, where that was asked for */
    public function matched(Account|Contact $record): array
    {
        return $this->matched[$record->id] ?? [];
    }

    /** @return array{string, string}|null */
    private function reason(Account|Contact $record): ?array
    {
        $standing = $this->standing($record);

        return $standing === null || $this->reasons === null || $this->out($record) !== null
            ? null
            : ($this->reasons)($record, $standing);
    }

    public function part(Contact $contact): ?Part
    {
        return Part::tryFrom($this->ranked[$contact->id][1] ?? '');
    }

    /** What of somebody may be written to or called, the first of its type. */
    public function channel(Contact $contact, ChannelType $type): ?Channel
    {
        return $contact->channels->first(
            fn (Channel $channel): bool => $channel->type === $type && $this->barred->address($channel->value) === null,
        );
    }

    /** Why an account, or a person, is not to be approached. */
    public function keptOut(Account|Contact $record): ?string
    {
        $account = $record instanceof Account ? $record : $record->account;

        return $this->barred->account($account->id, $account->domain) ?? ($record instanceof Account
            ? null
            : $this->barred->contact($record->id)
            ?? $this->barred->all(...$record->channels->where('type', ChannelType::Email)->pluck('value')->all()));
    }

    /** Whether the person asked not to be contacted, so that nothing of theirs is given out. */
    public function asked(Account|Contact $record): bool
    {
        return $record instanceof Contact && $this->barred->asked($record->id);
    }

    /** Why nobody there is to be approached for this offer: it fails a gate, or is kept out (rules 4, 6 and 9). */
    public function out(Account|Contact $record): ?string
    {
        $standing = $this->standing($record);

        return $standing?->state->isOut() === true ? lcfirst($standing->inWords()) : null;
    }

    /** The priority of an account, or of a contact; null where the account is out. */
    public function priority(Account|Contact $record): ?float
    {
        if ($this->standing($record)?->state->isOut() === true) {
            return null;
        }

        return $record instanceof Account ? $this->standing($record)?->priority : $this->ranked[$record->id][0] ?? null;
    }
}
