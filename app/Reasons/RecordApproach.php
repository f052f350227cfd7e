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
use App\Models\Signal;
use App\Models\Standing;
use App\Models\User;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
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

    /**
     * The reason of an approach that was made straight from a screen; null where its words rest on nothing that is
     * known.
     */
    public static function reasonFor(
        Offer $offer,
        Account $account,
        ?Contact $contact,
        User $by,
        string $words,
        string $channel,
    ): ?Reason {
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->first();
        if ($standing === null || $words === '') {
            return null;
        }
        $signals = Signal::query()->with('contact')->where('account_id', $account->id)->ofOffer($offer)->get();
        $draft = Drafts::of(
            $offer, $account, $contact,
            SignalLine::of($standing, $signals, RuleBook::catalogueOf($standing->ruleSet)),
            onlyFresh: true,
        );
        $lines = $draft->restsOn;
        $facts = $lines === [] ? array_slice(UndatedFacts::of($account), 0, 1) : [];

        return $lines === [] && $facts === [] ? null : RecordReason::record(
            $offer, $account, $contact, $by, $standing, $words, $channel, $lines, $facts, $draft->angle,
        );
    }
}
