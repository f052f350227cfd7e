<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Channels\Reach;
use App\Contacts\ForemostContacts;
use App\Contacts\TakeContact;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Standing;
use App\Models\User;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use Illuminate\Support\Collection;
use Illuminate\Validation\ValidationException;
use Luftig\Core\Reason\Greeting;

/** A reason in somebody's own words, with what they say it rests on, as long as it may be written down. */
final class WriteReason
{
    /**
     * @param  array{words: string, channel: string|null, contact: int, signals: list<string>, facts: list<string>,
     *     angle: string|null}  $said
     *
     * @throws ValidationException where it rests on nothing, says what another says, or is for somebody else's
     */
    public static function from(Offer $offer, Account $account, array $said, User $by): Reason
    {
        [$standing, $lines] = self::standing($offer, $account);
        $chosen = array_values(array_filter(
            $lines,
            fn (SignalLine $line): bool => in_array((string) $line->signal->id, $said['signals'], true)
                && $line->mayBeSaid() && $line->isFresh(),
        ));
        $asked = $said['contact'];
        $known = UndatedFacts::of($account, $offer, $account->contacts()->whereKey($asked)->first());
        $facts = array_values(array_intersect($known, $said['facts']));
        if ($chosen === [] && $facts === []) {
            self::refuse('signals', 'A reason rests on something: tick at least one signal or fact.');
        }
        if (
            Reason::query()->where('account_id', $account->id)->inState('ready')->where('words', $said['words'])
                ->exists()
        ) {
            self::refuse('words', 'These very words stand in another reason for this account already; no two should '
                .'read the same.');
        }
        $contact = self::contacts($offer, $standing, $asked)->firstWhere('id', $asked);
        self::greets($account, $contact, $said['words']);
        $taken = $contact === null ? null : TakeContact::take($offer, $contact, $by);
        if ($taken !== null) {
            self::refuse('contact', "{$taken->user->name} has reserved {$contact->name()} until "
                .$taken->until->format('l j F')
                .". The reason was not recorded; choose somebody else, or agree with {$taken->user->name}.");
        }

        return RecordReason::record(
            $offer, $account, $contact, $by, $standing, $said['words'], $said['channel'], $chosen, $facts,
            $said['angle'],
        );
    }

    /** @return array{Standing, list<SignalLine>} */
    public static function standing(Offer $offer, Account $account): array
    {
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->firstOrFail();
        $account->load(['signals' => fn ($query) => $query->with('contact')->ofOffer($offer)]);
        $account->load('industries', 'technologies', 'places');

        return [$standing, SignalLine::of($standing, $account->signals, RuleBook::catalogueOf($standing->ruleSet))];
    }

    /** @return Collection<int, Contact> whom it may be for, those who are reached best first */
    public static function contacts(Offer $offer, Standing $standing, int $asked): Collection
    {
        $barred = EntriesInForce::now();

        return ForemostContacts::of($offer, collect([$standing]), [$asked])->where('account_id', $standing->account_id)
            ->with('channels')->get()->filter(fn (Contact $contact): bool => $barred->contact($contact->id) === null)
            ->sortByDesc(fn (Contact $contact): float => Reach::of($contact, $barred)->access)->values();
    }

    private static function greets(Account $account, ?Contact $contact, string $words): void
    {
        $greeted = Greeting::readFrom($words);
        if ($contact !== null && ! in_array($greeted, [null, $contact->first_name], true)
            && $account->contacts()->where('first_name', $greeted)->exists()) {
            self::refuse(
                'words', "The words greet $greeted, and are for {$contact->name()}. Greet whom they are for.",
            );
        }
    }

    private static function refuse(string $field, string $says): never
    {
        throw ValidationException::withMessages([$field => $says]);
    }
}
