<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Position;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Together;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/** What people set by hand of a contact: no file changes it, and what follows from it follows at once. */
final class EditContact
{
    /** @param  array<string, string|null>  $fields */
    public static function add(
        Account $account,
        array $fields,
        ?string $since,
        ?string $email,
        ?string $phone,
        User $by,
    ): Contact {
        return Together::write(function () use ($account, $fields, $since, $email, $phone, $by): Contact {
            $contact = Contact::query()->create(
                [
                    'account_id' => $account->id, 'source' => $by->name, 'seen_at' => now(),
                    'by_hand' => array_keys(array_filter($fields)),
                ]
                    + $fields
                    + ['first_name' => '', 'last_name' => ''],
            );
            if ($contact->title !== null) {
                Position::query()->create([
                    'contact_id' => $contact->id, 'account_id' => $account->id, 'title' => $contact->title,
                    'since' => $since, 'by_hand' => true,
                ]);
            }
            foreach (
                array_filter(
                    [
                        ChannelType::Email->value => $email === null ? null : mb_strtolower($email),
                        ChannelType::DirectPhone->value => $phone,
                    ],
                ) as $type => $value
            ) {
                Channel::query()->create([
                    'contact_id' => $contact->id, 'type' => $type, 'value' => $value, 'state' => AddressState::Unknown,
                ]);
            }
            self::settle($contact);

            return $contact;
        });
    }

    /** @param  array<string, string|null>  $fields */
    public static function change(Contact $contact, array $fields): void
    {
        Together::write(function () use ($contact, $fields): void {
            $changed = array_filter(
                $fields,
                fn (?string $value, string $field): bool => $contact->getAttribute($field) !== $value,
                ARRAY_FILTER_USE_BOTH,
            );
            if (array_key_exists('title', $changed)) {
                Position::query()->where('contact_id', $contact->id)->where('account_id', $contact->account_id)
                    ->whereNull('until')->update(['title' => $changed['title'], 'by_hand' => true]);
            }
            $contact->update(
                $changed
                    + ['by_hand' => array_values(array_unique([...$contact->by_hand ?? [], ...array_keys($changed)]))],
            );
            self::settle($contact);
        }, $contact);
    }

    /** What somebody found out about a channel; null: it is none of theirs. */
    public static function channel(Contact $contact, Channel $channel, ?AddressState $state): void
    {
        Together::write(function () use ($contact, $channel, $state): void {
            $state === null ? $channel->delete() : $channel->update(['state' => $state]);
            AccountIds::markStale([$contact->account_id]);
        }, $channel);
    }

    /** @param  array<string, mixed>  $fields */
    public static function position(Contact $contact, array $fields, ?Position $position = null): void
    {
        Together::write(function () use ($contact, $fields, $position): void {
            $position === null
                ? Position::query()->create(['contact_id' => $contact->id] + $fields)
                : $position->update($fields);
            self::followPosition($contact);
            self::settle($contact);
        }, $contact);
    }

    public static function removePosition(Contact $contact, Position $position): void
    {
        Together::write(function () use ($contact, $position): void {
            $position->delete();
            self::followPosition($contact);
            self::settle($contact);
        }, $contact);
    }

    /** The title is that of the present position at the account. */
    private static function followPosition(Contact $contact): void
    {
        $now = Position::query()->where('contact_id', $contact->id)->where('account_id', $contact->account_id)
            ->whereNull('until')->orderByDesc('since')->first();
        if ($now !== null && $now->title !== $contact->title) {
            $contact->update([
                'title' => $now->title,
                'by_hand' => array_values(array_unique([...$contact->by_hand ?? [], 'title'])),
            ]);
        }
    }

    /** Reads the titles anew, and draws the conclusions. */
    private static function settle(Contact $contact): void
    {
        $account = Account::query()->with('places')->findOrFail($contact->account_id);
        $titles = new Titles;
        $read = fn (?string $title): int => $titles
            ->read($title, $account->headquarters()?->country, $account->headcount);
        Contact::query()->whereKey($contact->id)->update(['reading' => $read($contact->title)]);
        foreach (Position::query()->where('contact_id', $contact->id)->get() as $position) {
            $position->update(['reading' => $read($position->title)]);
        }
        (new CareerSignals)->refresh([$contact->id]);
        AccountIds::markStale([$contact->account_id]);
    }
}
