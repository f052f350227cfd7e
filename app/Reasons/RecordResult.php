<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Contacts\CareerSignals;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\KeepOutType;
use App\Models\Position;
use App\Models\Result;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Together;
use Carbon\CarbonImmutable;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/** Records what came of an approach, and corrects the facts where the result says so (rule 19). */
final class RecordResult
{
    public static function record(
        Approach $approach,
        Result $result,
        User $by,
        ?CarbonImmutable $later = null,
        ?string $instead = null,
    ): void {
        Together::write(function () use ($approach, $result, $by, $later, $instead): void {
            $approach->update([
                'result' => $result,
                'result_at' => now(),
                'later_on' => $result === Result::Later ? $later : null,
                'instead' => $result === Result::WrongPerson ? $instead : null,
            ]);
            $contact = $approach->contact;
            if ($contact !== null) {
                match ($result) {
                    Result::Bounced => Channel::query()->where('contact_id', $contact->id)
                        ->where('type', ChannelType::Email)->where('state', '<>', AddressState::Shared)
                        ->update(['state' => AddressState::Invalid]),
                    Result::Left => Position::query()->where('contact_id', $contact->id)->whereNull('until')
                        ->update(['until' => today()]),
                    default => null,
                };
            }
            if ($contact !== null && in_array($result, [Result::Left, Result::Stop], true)) {
                self::keepOut($contact, $result, $by);
            }
            if ($contact !== null && $result === Result::Left) {
                (new CareerSignals)->refresh([$contact->id]);
            }
            AccountIds::markStale([$approach->account_id]);
        }, $approach);
    }

    /**
     * For good; an entry that has ended, or ends, or gives another reason, does not stand in the way of what the person
     * asked.
     */
    private static function keepOut(Contact $contact, Result $result, User $by): void
    {
        $entries = KeepOut::query()->where('type', KeepOutType::Contact)->where('contact_id', $contact->id);
        if ($result === Result::Left && (clone $entries)->inForce()->exists()) {
            return;
        }
        $entries->firstOrNew(['type' => KeepOutType::Contact, 'contact_id' => $contact->id])->fill([
            'value' => $contact->name(), 'account_id' => $contact->account_id, 'until' => null, 'user_id' => $by->id,
            'reason' => $result === Result::Stop ? KeepOut::ASKED : 'left the position',
        ])->save();
    }
}
