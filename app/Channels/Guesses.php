<?php

declare(strict_types=1);

namespace App\Channels;

use App\Models\Contact;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Domain;
use Luftig\Core\Person\EmailPatterns;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Reach\SharedMailbox;

/** What address somebody may have, by how the known ones of their house are made (rule 16). */
final class Guesses
{
    private const DAY = 86_400;

    private const SHOWN = 4;

    /** Less likely ones are not spoken of. */
    private const LEAST = .05;

    /** Of whom known addresses are read, where the shares over all houses are learned. */
    private const READ = 200_000;

    /** From which one learns nothing. */
    private const NOT_FROM = [AddressState::Invalid, AddressState::Disposable, AddressState::Guess];

    /** @return array<string, float> address → chance, the likeliest first; none where one is known that may work */
    public static function of(Contact $contact): array
    {
        $domain = $contact->loadMissing('account', 'channels')->account->domain;
        $addresses = $contact->channels->where('type', ChannelType::Email);
        $works = $addresses->first(fn ($one): bool => ! $one->state->isDead() && $one->state !== AddressState::Shared);
        if ($domain === null || $works !== null || Domain::from($domain)?->freeMail !== false) {
            return [];
        }
        $patterns = new EmailPatterns(self::shares());
        foreach (self::known($contact->account_id, $domain) as [$first, $last, $address]) {
            $patterns->learn($first, $last, $address);
        }
        $guesses = array_filter(
            $patterns->guesses($contact->first_name, $contact->last_name, $domain),
            fn (float $chance): bool => $chance >= self::LEAST,
        );
        // What is dead, or somebody else's, is not theirs.
        $taken = DB::table('channels')->whereIn('value', array_keys($guesses))->pluck('value')
            ->map(fn (string $one): string => mb_strtolower($one))->flip()->all();

        return array_slice(array_diff_key($guesses, $taken), 0, self::SHOWN);
    }

    /** How many known addresses of a house they are learned from. */
    public static function learnedFrom(Contact $contact): int
    {
        return count(self::known($contact->account_id, (string) $contact->account->domain));
    }

    /** @return list<array{string, string, string}> first name, last name, address */
    private static function known(int $account, string $domain): array
    {
        return self::rows(
            DB::table('channels')->join('contacts', 'contacts.id', '=', 'contact_id')
                ->where('contacts.account_id', $account)->where('value', 'like', "%@$domain"),
        );
    }

    /** @return array<string, float>|null pattern → its share over all houses; null: nothing is known */
    private static function shares(): ?array
    {
        return Cache::remember('address patterns', self::DAY, function (): ?array {
            $patterns = new EmailPatterns;
            $rows = self::rows(
                DB::table('channels')->join('contacts', 'contacts.id', '=', 'contact_id')->limit(self::READ),
            );
            foreach ($rows as [$first, $last, $address]) {
                $patterns->learn($first, $last, $address);
            }

            return $rows === [] ? null : $patterns->shares();
        });
    }

    /** @return list<array{string, string, string}> */
    private static function rows(\Illuminate\Database\Query\Builder $query): array
    {
        $rows = [];
        foreach (
            $query->where('type', ChannelType::Email)->whereNotIn('state', self::NOT_FROM)
                ->get(['first_name', 'last_name', 'value']) as $row
        ) {
            if (! SharedMailbox::is($row->value)) {
                $rows[] = [(string) $row->first_name, (string) $row->last_name, (string) $row->value];
            }
        }

        return $rows;
    }
}
