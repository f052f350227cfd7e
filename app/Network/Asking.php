<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Ask;
use App\Models\Contact;
use App\Models\User;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Str;

/** A request for an introduction, in words, and the address at which the introducer answers it. */
final class Asking
{
    /** So long the address holds. */
    private const DAYS = 21;

    /** @param  list<array{string, float}>  $why  of each edge of the path */
    public static function request(User $from, User|Contact $introducer, Contact $to, array $why): string
    {
        $first = self::first($introducer);

        // What an address book knows of the two, they know better.
        $whence = preg_match('/^(worked|studied|both)\b/', $why[1][0]) === 1 ? " ({$why[1][0]})" : '';

        return "Hello $first,\n\nyou know {$to->name()} at {$to->account->name}{$whence}. I would like to talk to "
            .'them, and a word from you would weigh more than any of mine. Would you pass on the text below? A no is '
            ."fine too.\n\n".self::by($from);
    }

    /** Words for somebody who has not answered: short, and with a way out. */
    public static function reminder(Ask $ask): string
    {
        $introducer = $ask->askedUser ?? $ask->askedContact;
        $hello = $introducer === null ? 'Hello' : 'Hello '.self::first($introducer);

        return "$hello,\n\nmay I come back to {$ask->contact->name()}? If it does not suit, a no helps me as much as a "
            .'yes: one click says either. '.self::address($ask)."\n\n".self::by($ask->user);
    }

    public static function forward(User $from, Contact $to, string $words): string
    {
        $said = Str::ucfirst((string) preg_replace('/^(?:Hello|Hej|Guten Tag)\b[^,]{0,60}, /u', '', $words));

        return "Hello {$to->first_name}, may I introduce {$from->name} to you? In their own words: “{$said}”";
    }

    /** Where the introducer answers without signing in; it holds for three weeks, and for nothing else. */
    public static function address(Ask $ask): string
    {
        $since = $ask->reminded_at ?? $ask->asked_at;

        return URL::temporarySignedRoute('asks.answer', $since->addDays(self::DAYS), ['ask' => $ask->id]);
    }

    private static function first(User|Contact $person): string
    {
        return $person instanceof User ? (strtok($person->name, ' ') ?: $person->name) : $person->first_name;
    }

    private static function by(User $from): string
    {
        return "Thank you,\n".(strtok($from->name, ' ') ?: $from->name);
    }
}
