<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Contacts\TakeContact;
use App\Finder\Indexes;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\User;
use App\Standings\Snapshot;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Luftig\Core\Reach\ChannelType;

/** Records that somebody was approached; nobody holds them for it any longer (rule 19). */
final class RecordApproach
{
    /** @param  array{kind: ApproachKind, next_step: string|null, next_step_on: string|null}  $how */
    public static function record(
        array $how,
        Offer $offer,
        Account $account,
        ?Contact $contact,
        User $by,
        ?Reason $reason,
    ): Approach {
        $approach = Approach::query()->create($how + [
            'offer_id' => $offer->id, 'account_id' => $account->id, 'contact_id' => $contact?->id,
            'reason_id' => $reason?->id,
            'user_id' => $by->id,
            'made_at' => now(),
            'snapshot' => Snapshot::of($offer, $account->id, CarbonImmutable::now()),
        ]);
        Indexes::changed([$account->id]);
        if ($contact !== null) {
            TakeContact::release($contact, $by);
        }

        return $approach;
    }

    /** As if nobody had been approached; its reason is ready again. */
    public static function undo(Approach $approach): void
    {
        $approach->delete();
        Indexes::changed([$approach->account_id]);
    }

    /** @throws ValidationException where they are kept out, or a colleague's */
    public static function allow(ApproachKind $kind, Account $account, ?Contact $contact, User $by): void
    {
        $barred = self::barred($kind, $account, $contact);
        $held = $barred !== null || $contact === null ? null : TakeContact::colleagues($contact, $by);
        $why = match (true) {
            $barred !== null => "they are kept out ($barred)",
            $held !== null => "{$held->user->name} has reserved {$contact->name()} until "
                .$held->until->format('l j F'),
            default => null,
        };
        if ($why !== null) {
            throw ValidationException::withMessages(['kind' => "This approach was not recorded: $why."]);
        }
    }

    private static function barred(ApproachKind $kind, Account $account, ?Contact $contact): ?string
    {
        $barred = EntriesInForce::now();
        $addresses = $contact === null || $kind !== ApproachKind::Email ? []
            : $contact->channels->where('type', ChannelType::Email)->pluck('value')->all();

        return $barred->account($account->id, $account->domain)
            ?? ($contact === null ? null : $barred->contact($contact->id)) ?? $barred->all(...$addresses);
    }
}
