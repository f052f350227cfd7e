<?php

declare(strict_types=1);

namespace App\Exports;

use App\KeepOut\EntriesInForce;
use App\Models\Contact;
use Luftig\Core\Reach\ChannelType;
use Sabre\VObject\Component\VCard;

/** A contact as a vCard 4.0 (RFC 6350). Addresses that are known to be dead, or kept out, are left out. */
final class ContactCard
{
    public static function of(Contact $contact, EntriesInForce $barred): string
    {
        $card = new VCard([
            'VERSION' => '4.0',
            'UID' => 'urn:luftig:contact:'.$contact->id,
            'FN' => $contact->name(),
            'N' => [$contact->last_name, $contact->first_name, '', '', ''],
            'ORG' => [$contact->account->name],
        ]);
        if ($contact->title !== null) {
            $card->add('TITLE', $contact->title);
        }
        if ($contact->account->domain !== null) {
            $card->add('URL', 'https://'.$contact->account->domain);
        }
        if ($contact->city !== null || $contact->country !== null) {
            $card->add('ADR', ['', '', '', (string) $contact->city, '', '', (string) $contact->country]);
        }
        foreach ($contact->channels as $channel) {
            if ($barred->address($channel->value) !== null) {
                continue;
            }
            match ($channel->type) {
                ChannelType::Email => $channel->state->isDead() ? null : $card->add('EMAIL', $channel->value),
                ChannelType::DirectPhone => $card->add('TEL', $channel->value, ['TYPE' => 'work']),
                ChannelType::Switchboard => $card->add('TEL', $channel->value, ['TYPE' => 'main-number']),
                default => null,
            };
        }
        if ($contact->profile !== null) {
            $card->add('SOCIALPROFILE', $contact->profile);
        }

        return $card->serialize();
    }
}
