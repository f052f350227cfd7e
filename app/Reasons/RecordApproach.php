<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Contacts\TakeContact;
use App\Finder\Indexes;
use App\Models\Account;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\User;
use App\Standings\Snapshot;
use Carbon\CarbonImmutable;

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
}
