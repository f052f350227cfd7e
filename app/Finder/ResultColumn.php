<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Account;
use App\Models\Contact;
use Illuminate\Http\Request;
use Luftig\Core\Person\Title;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Search\Subject;

/** What can be given out of an account or a contact; the value is the heading. */
enum ResultColumn: string
{
    case Priority = 'priority';
    case Part = 'part';
    case FirstName = 'first name';
    case LastName = 'last name';
    case Title = 'title';
    case ReadAs = 'read as';
    case InPositionSince = 'in the position since';
    case Account = 'account';
    case Domain = 'domain';
    case Email = 'e-mail';
    case EmailState = 'state of the e-mail';
    case Phone = 'phone';
    case Profile = 'profile';
    case Industry = 'industry';
    case Country = 'country';
    case City = 'city';
    case Headcount = 'headcount';
    case Revenue = 'revenue (EUR)';
    case ContactsKnown = 'contacts known';
    case Owner = 'owner';
    case Fit = 'fit';
    case ActBy = 'act by';
    case Source = 'source';
    case KeptOut = 'kept out';
    case State = 'state';

    private const OF_CONTACTS = [
        self::Part, self::FirstName, self::LastName, self::Title, self::ReadAs, self::InPositionSince, self::Email,
        self::EmailState, self::Phone, self::Profile,
    ];

    /** @return list<self> */
    public static function of(Subject $subject): array
    {
        return array_values(array_filter(
            self::cases(),
            fn (self $column): bool => $subject === Subject::Contacts ? $column !== self::ContactsKnown : ! in_array(
                $column,
                self::OF_CONTACTS,
                true,
            ),
        ));
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
        $known = array_filter(
            array_map(
                fn (mixed $name): ?self => is_string($name) ? self::tryFrom($name) : null,
                is_array($names) ? $names : [],
            ),
            fn (?self $column): bool => in_array($column, self::of($subject), true),
        );

        return array_values(array_unique($known, SORT_REGULAR)) ?: self::of($subject);
    }

    public static function cookie(Subject $subject): string
    {
        return 'columns_'.$subject->value;
    }

    public function value(Account|Contact $record, ResultRows $rows): string
    {
        $contact = $record instanceof Contact ? $record : null;
        $account = $record instanceof Contact ? $record->account : $record;

        return (string) match ($this) {
            self::Priority => ($priority = $rows->priority($record)) === null ? '' : number_format($priority, 1),
            self::Part => $contact === null ? '' : $rows->part($contact)?->label(),
            self::FirstName => $contact?->first_name,
            self::LastName => $contact?->last_name,
            self::Title => $contact?->title,
            self::ReadAs => $contact === null ? '' : Title::unpacked($contact->reading)->inWords(),
            self::InPositionSince => $contact?->positions->firstWhere('until', null)?->since?->toDateString(),
            self::Account => $account->name,
            self::Domain => $account->domain,
            self::Email => $contact === null ? '' : $rows->channel($contact, ChannelType::Email)?->value,
            self::EmailState => $contact === null ? '' : $rows->channel($contact, ChannelType::Email)?->state->label(),
            self::Phone => $contact === null ? '' : $rows->channel($contact, ChannelType::DirectPhone)?->value,
            self::Profile => $contact?->profile,
            self::Industry => $account->industries->pluck('code')->filter()->implode(' '),
            self::Country => $account->headquarters()?->country,
            self::City => $account->headquarters()?->city,
            self::Headcount => $account->headcount,
            self::Revenue => $account->revenue,
            self::ContactsKnown => $account->getAttribute('contacts_count'),
            self::Owner => $account->owner?->name,
            self::Fit => ($standing = $rows->standing($record)) === null ? '' : number_format($standing->fit, 2),
            self::ActBy => $rows->standing($record)?->act_by?->toDateString(),
            self::Source => $record->source,
            self::KeptOut => $rows->keptOut($record),
            self::State => $rows->out($record) ?? lcfirst((string) $rows->standing($record)?->state->label()),
        };
    }
}
