<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Channels\Reach;
use App\Finder\ResultRows;
use App\Finder\Search;
use App\Finder\Sorting;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Standings\SignalLine;
use App\Support\Format;
use App\View\Accounts\Ranking;
use App\View\Contacts\Tenure;
use App\View\Head;
use Luftig\Core\Company\Industries;

/** Accounts or contacts as a table shows them, wherever they were found. */
final readonly class Results
{
    /**
     * @param  array<int, list<SignalLine>>  $lines  by account
     * @param  Search|null  $search  that found them, which knows whose work they are; one may tick them then
     * @param  Sorting|null  $sorting  in which they stand; null: in that of whoever shows them
     */
    private function __construct(
        private ResultRows $rows,
        private array $lines,
        private EntriesInForce $barred,
        private ?Search $search,
        private bool $isTicked,
        private ?Sorting $sorting,
    ) {
    }

    /** @param  bool  $isTicked  whether one may tick them all the same */
    public static function of(
        Offer $offer,
        ResultRows $rows,
        ?Search $search = null,
        bool $isTicked = false,
        ?Sorting $sorting = null,
    ): self {
        $lines = $rows->standings->isEmpty() ? [] : Ranking::lines($offer, $rows->standings);

        return new self($rows, $lines, EntriesInForce::now(), $search, $isTicked || $search !== null, $sorting);
    }

    public function mayBeTicked(): bool
    {
        return $this->isTicked;
    }

    /** Whether people stand under their accounts. */
    public function isGrouped(): bool
    {
        return $this->sorting?->isGrouped() === true;
    }

    /** @return list<Head|string> */
    public function heads(): array
    {
        $ofContacts = ($this->rows->records[0] ?? null) instanceof Contact;

        return [
            ...$this->isTicked ? ['-Choose'] : [],
            ...$ofContacts ? [
                $this->head('Contact', 'name'), $this->head('Account', 'account'),
                $this->head('In the position', 'since'), $this->head('Why now', 'why'),
                $this->head('Channel', 'channel'),
            ] : [
                $this->head('Account', 'name'), $this->head('Industry', 'industry'), $this->head('Place', 'place'),
                $this->head('Why now', 'why'), $this->head('#Heads', 'heads'), $this->head('#Contacts', 'contacts'),
            ],
            ...$this->search === null ? [] : [$this->head('Work', 'work')],
            $this->byPriority(),
        ];
    }

    private function head(string $label, string $column): Head|string
    {
        if ($this->sorting === null || $this->search === null || ! $this->sorting->isPossible()) {
            return $label;
        }
        $url = route('finder', $this->search->parameters() + ['sort' => $this->sorting->parameter($column)]);
        $direction = $this->sorting->direction($column);

        return str_starts_with($label, '#')
            ? Head::number(substr($label, 1), $url, $direction)
            : Head::text($label, $url, $direction);
    }

    private function byPriority(): Head
    {
        return $this->sorting === null || $this->search === null
            ? Head::number('Priority')
            : Head::number('Priority', route('finder', $this->search->parameters()), $this->sorting->by === ''
                ? 'descending' : null);
    }

    /** What stands over the first row of an account, where people are grouped by it: how many of its are found. */
    private function group(Account|Contact $record, Account|Contact|null $before): ?string
    {
        return $record instanceof Contact && $this->isGrouped()
            && ! ($before instanceof Contact && $before->account_id === $record->account_id)
                ? Format::count((int) $this->sorting?->at($record->account_id), 'person', 'people').' found'
                : null;
    }

    /**
     * @return list<array{id: int, group: string|null, matched: list<string>, name: string, about: string, url: string,
     *     records: string, work: string|null, priority: string, out: string|null, line: SignalLine|null,
     *     cells: array<string, string>, account: Account|null, accountAbout: string}>
     */
    public function rows(): array
    {
        return array_map(fn (Account|Contact $record, Account|Contact|null $before): array => [
            'id' => $record->id,
            'group' => $this->group($record, $before), 'matched' => $this->rows->matched($record),
            'work' => $this->search === null ? null : str_replace('_', ' ', $this->search->workOf($record->id)),
            'priority' => Format::priority($this->rows->priority($record)),
            'out' => $this->rows->out($record),
            ...$record instanceof Contact ? $this->contact($record) : $this->account($record),
        ], $this->rows->records, array_slice([null, ...$this->rows->records], 0, count($this->rows->records)));
    }

    /**
     * @return array{name: string, about: string, url: string, records: string, line: SignalLine|null,
     *     cells: array<string, string>, account: Account|null, accountAbout: string}
     */
    private function contact(Contact $contact): array
    {
        $account = $contact->account;

        return [
            'name' => $contact->name(),
            'about' => $contact->title ?? 'title unknown',
            'url' => route('contacts.show', $contact),
            'records' => route('reasons.create', [$account, 'contact' => $contact->id]),
            'line' => $this->strongest($account->id, $contact->id), 'account' => $account,
            'accountAbout' => Format::line(
                $account->headquarters()?->city,
                $account->headcount === null ? null : Format::heads($account->headcount),
            ),
            'cells' => [
                'before' => Tenure::of($contact)->inPosition() ?? 'unknown',
                'after' => $this->barred->contact($contact->id) !== null
                    ? 'kept out'
                    : Reach::of($contact, $this->barred)->label(),
            ],
        ];
    }

    /**
     * @return array{name: string, about: string, url: string, records: string, line: SignalLine|null,
     *     cells: array<string, string>, account: Account|null, accountAbout: string}
     */
    private function account(Account $account): array
    {
        $industry = $account->industries->first()?->code;

        return [
            'name' => $account->name,
            'about' => (string) $account->domain,
            'url' => route('accounts.show', [$account] + ($this->search?->parameters() ?? [])),
            'records' => route('reasons.create', $account), 'line' => $this->strongest($account->id), 'account' => null,
            'accountAbout' => '',
            'cells' => [
                'industry' => $industry === null ? 'unknown' : lcfirst(Industries::name($industry)),
                'place' => $account->headquarters()->city ?? 'unknown',
                'heads' => $account->headcount === null ? '?' : Format::number($account->headcount),
                'contacts' => Format::number((int) $account->getAttribute('contacts_count')),
            ],
        ];
    }

    /** Their own strongest signal, or else the account's. */
    private function strongest(int $account, ?int $contact = null): ?SignalLine
    {
        return collect($this->lines[$account] ?? [])
            ->sortByDesc(
                fn (SignalLine $line): array => [
                    $contact !== null && $line->signal->contact_id === $contact,
                    $line->push,
                ],
            )
            ->first();
    }
}
