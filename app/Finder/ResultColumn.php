<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Account;
use App\Models\Contact;
use App\Support\AccountField;
use App\Support\Countries;
use App\Support\FunctionNames;
use Closure;
use Illuminate\Http\Request;
use Luftig\Core\Company\Industries;
use Luftig\Core\Person\Title;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Search\Subject;

/** What can be given out of an account or a contact, under its heading. */
final readonly class ResultColumn
{
    /** @param  Closure(Account|Contact, ResultRows): (float|int|string|null)  $reads */
    private function __construct(public string $heading, private Closure $reads)
    {
    }

    /** @return array<string, self> by heading */
    public static function of(Subject $subject): array
    {
        return array_column(
            $subject === Subject::Contacts
                ? [self::priority(), ...self::ofContacts(), ...self::ofAccounts(), ...self::standing()]
                : [self::priority(), ...self::ofAccounts(), self::contactsKnown(), ...self::standing()],
            null,
            'heading',
        );
    }

    /**
     * Those that were asked for or, when none were, those of the last time in this browser.
     *
     * @return list<self> in the order chosen; all, if nobody ever chose
     */
    public static function chosen(Request $request, Subject $subject): array
    {
        $kept = $request->cookie(self::cookie($subject));
        $names = $request->query('columns') ?? (is_string($kept) ? json_decode($kept, true) : null);
        $all = self::of($subject);
        $chosen = array_map(
            fn (string $name): ?self => $all[$name] ?? null,
            array_unique(array_filter(is_array($names) ? $names : [], is_string(...))),
        );

        return array_values(array_filter($chosen)) ?: array_values($all);
    }

    public static function cookie(Subject $subject): string
    {
        return 'columns_'.$subject->value;
    }

    public function value(Account|Contact $record, ResultRows $rows): string
    {
        return (string) ($this->reads)($record, $rows);
    }

    private static function priority(): self
    {
        return new self('priority', function (Account|Contact $record, ResultRows $rows): ?string {
            $priority = $rows->priority($record);

            return $priority === null ? null : number_format($priority, 1);
        });
    }

    /** @return list<self> */
    private static function ofContacts(): array
    {
        $of = fn (string $heading, Closure $reads): self => new self(
            $heading,
            fn (Account|Contact $record, ResultRows $rows): ?string => $record instanceof Contact
                ? $reads($record, $rows)
                : null,
        );
        $channel = fn (ChannelType $type): Closure => fn (Contact $contact, ResultRows $rows): ?string => $rows
            ->channel($contact, $type)?->value;

        return [
            $of('part', fn (Contact $contact, ResultRows $rows): ?string => $rows->part($contact)?->label()),
            $of('first name', fn (Contact $contact): string => $contact->first_name),
            $of('last name', fn (Contact $contact): string => $contact->last_name),
            $of('title', fn (Contact $contact): ?string => $contact->title),
            $of('read as', fn (Contact $contact): string => FunctionNames::title(Title::unpacked($contact->reading))),
            $of('in the position since', fn (Contact $contact): ?string => $contact->positions
                ->firstWhere('until', null)?->since?->toDateString()),
            $of('e-mail', $channel(ChannelType::Email)),
            $of('state of the e-mail', fn (Contact $contact, ResultRows $rows): ?string => $rows
                ->channel($contact, ChannelType::Email)?->state->label()),
            $of('phone', $channel(ChannelType::DirectPhone)),
            $of('profile', fn (Contact $contact): ?string => $contact->profile),
        ];
    }

    /** @return list<self> */
    private static function ofAccounts(): array
    {
        $of = fn (string $heading, Closure $reads): self => new self(
            $heading,
            fn (Account|Contact $record): float|int|string|null => $reads(
                $record instanceof Contact ? $record->account : $record,
            ),
        );
        $fields = array_filter(AccountField::all(), fn (AccountField $field): bool => $field->heading !== null);

        return [
            $of('account', fn (Account $account): string => $account->name),
            $of('domain', fn (Account $account): ?string => $account->domain),
            $of('industry', fn (Account $account): string => $account->industries->pluck('code')->filter()
                ->map(fn (mixed $code): string => Industries::name((string) $code))->implode('; ')),
            $of('industry (ISIC)', fn (Account $account): string => $account->industries->pluck('code')->filter()
                ->implode(' ')),
            $of('country', fn (Account $account): string => Countries::name($account->headquarters()?->country)),
            $of('city', fn (Account $account): ?string => $account->headquarters()?->city),
            ...array_values(array_map(fn (AccountField $field): self => $of(
                (string) $field->heading,
                fn (Account $account): float|int|string|null => $account->getAttribute($field->column),
            ), $fields)),
            $of('technologies', fn (Account $account): string => $account->technologies->pluck('name')->implode('; ')),
            $of('revenue (EUR)', fn (Account $account): ?float => $account->revenue),
            $of('owner', fn (Account $account): ?string => $account->owner?->name),
        ];
    }

    private static function contactsKnown(): self
    {
        return new self(
            'contacts known',
            fn (Account|Contact $record): ?int => $record->getAttribute('contacts_count'),
        );
    }

    /** @return list<self> */
    private static function standing(): array
    {
        return [
            new self('why now', fn (Account|Contact $record, ResultRows $rows): ?string => $rows->why($record)),
            new self('why it matched', fn (Account|Contact $record, ResultRows $rows): string => implode(
                '; ', $rows->matched($record),
            )),
            new self('draft', fn (Account|Contact $record, ResultRows $rows): ?string => $rows->draft($record)),
            new self('fit', function (Account|Contact $record, ResultRows $rows): ?string {
                $standing = $rows->standing($record);

                return $standing === null ? null : number_format($standing->fit, 2);
            }),
            new self('act by', fn (Account|Contact $record, ResultRows $rows): ?string => $rows->standing($record)
                ?->act_by?->toDateString()),
            new self('source', fn (Account|Contact $record): ?string => $record->source),
            new self('kept out', fn (Account|Contact $record, ResultRows $rows): ?string => $rows->keptOut($record)),
            new self('state', fn (Account|Contact $record, ResultRows $rows): string => $rows->out($record)
                ?? lcfirst((string) $rows->standing($record)?->state->label())),
        ];
    }
}
