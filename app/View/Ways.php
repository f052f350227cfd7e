<?php

declare(strict_types=1);

namespace App\View;

use App\Channels\Reach;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Reason;
use App\Reasons\Proposal;
use Illuminate\Support\Str;
use Luftig\Core\Reach\ChannelType;

/** What can be done with words from a screen: copied, sent as a mail, said on the phone, written under a profile. */
final readonly class Ways
{
    /**
     * @param  string  $records  the address that records that it was done
     * @param  string|null  $angle  by which they were proposed
     * @param  string|null  $file  the address of the words as a mail
     * @param  string|null  $card  that of whom they are for as a vCard
     * @param  string|null  $sheet  what to say on the phone
     * @param  int|null  $contact  whom the words are for, where that address does not say it
     */
    private function __construct(
        public string $words,
        public ?string $mail,
        public ?string $phone,
        public ?string $profile,
        public string $records,
        public ?int $contact,
        public ?string $angle,
        public ?string $file,
        public ?string $card,
        public ?string $sheet,
    ) {
    }

    /** Before a reason is recorded: that it was done records the reason along. */
    public static function toAccount(
        Account $account,
        ?Contact $contact,
        Proposal $draft,
        EntriesInForce $barred,
    ): self {
        return self::of(
            $contact, $draft->words(), $draft->subject(), $draft->of('email')->text, $barred,
            route('accounts.approach', $account),
            route('accounts.mail', [$account, 'contact' => $contact?->id, 'angle' => $draft->angle]),
            $contact?->id, $draft->angle, $draft->callSheet(),
        );
    }

    /** @param  array<string, string>  $next  where it goes on afterwards, where that is not the reason */
    public static function byReason(
        Reason $reason,
        string $subject,
        EntriesInForce $barred,
        array $next = [],
    ): self {
        return self::of(
            $reason->contact, $reason->words, $subject, $reason->words, $barred,
            route('approaches.store', [$reason, ...$next]), route('reasons.mail', $reason), null,
        );
    }

    private static function of(
        ?Contact $contact,
        string $words,
        string $subject,
        string $body,
        EntriesInForce $barred,
        string $records,
        string $file,
        ?int $to,
        ?string $angle = null,
        ?string $sheet = null,
    ): self {
        $reach = $contact === null || $barred->contact($contact->id) !== null ? null : Reach::of($contact, $barred);
        $email = $reach?->best(ChannelType::Email);
        $phone = $reach?->best(ChannelType::DirectPhone) ?? $reach?->best(ChannelType::Switchboard);

        return new self(
            $words,
            $email === null
                ? null
                : 'mailto:'.rawurlencode($email).'?subject='.rawurlencode($subject).'&body='.rawurlencode($body),
            $phone === null ? null : 'tel:'.preg_replace('/[^\d+]/', '', $phone),
            $reach === null ? null : self::page($contact->profile ?? null),
            $records,
            $to,
            $angle,
            $email === null ? null : $file,
            $reach === null ? null : route('contacts.card', $contact),
            $phone === null ? null : $sheet,
        );
    }

    /** Only what is a page: nothing that a file brought is run. */
    private static function page(?string $profile): ?string
    {
        return match (true) {
            $profile === null || $profile === '' => null,
            Str::startsWith($profile, ['https://', 'http://']) => $profile,
            preg_match('/^[\w.-]+\.\w{2,}(\/\S*)?$/', $profile) === 1 => "https://$profile",
            default => null,
        };
    }
}
