<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Contacts\CareerSignals;
use App\Events\ResultRecorded;
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
            self::putRight($approach);
            $approach->update([
                'result' => $result,
                'result_at' => now(),
                'later_on' => $result === Result::Later ? $later : null,
                'instead' => $result === Result::WrongPerson ? $instead : null,
                'corrected' => $approach->contact === null ? null : self::correct($approach->contact, $result, $by),
            ]);
            AccountIds::markStale([$approach->account_id]);
            ResultRecorded::dispatch($approach);
        }, $approach);
    }

    /** As if nothing had come of it yet; what the result corrected is as it was. */
    public static function undo(Approach $approach): void
    {
        Together::write(function () use ($approach): void {
            self::putRight($approach);
            $approach->update([
                'result' => null, 'result_at' => null, 'later_on' => null, 'instead' => null, 'corrected' => null,
            ]);
            AccountIds::markStale([$approach->account_id]);
        }, $approach);
    }

    /** @return array<string, mixed>|null what it was before: states of channels, positions, the keep-out entry */
    private static function correct(Contact $contact, Result $result, User $by): ?array
    {
        if ($result === Result::Bounced) {
            $channels = Channel::query()->where('contact_id', $contact->id)->where('type', ChannelType::Email)
                ->where('state', '<>', AddressState::Shared)->where('state', '<>', AddressState::Invalid);
            $before = (clone $channels)->toBase()->pluck('state', 'id')->all();
            $channels->update(['state' => AddressState::Invalid]);

            return ['channels' => $before];
        }
        if (! in_array($result, [Result::Left, Result::Stop], true)) {
            return null;
        }
        $corrected = ['keep_out' => self::keepOut($contact, $result, $by)];
        if ($result === Result::Left) {
            $positions = Position::query()->where('contact_id', $contact->id)->whereNull('until');
            $corrected['positions'] = (clone $positions)->pluck('id')->all();
            $positions->update(['until' => today()]);
            (new CareerSignals)->refresh([$contact->id]);
        }

        return $corrected;
    }

    private static function putRight(Approach $approach): void
    {
        $before = $approach->corrected ?? [];
        foreach ($before['channels'] ?? [] as $id => $state) {
            // Checked since, it is what the check said.
            Channel::query()->whereKey($id)->where('state', AddressState::Invalid)->update(['state' => $state]);
        }
        if (($before['positions'] ?? []) !== []) {
            Position::query()->whereKey($before['positions'])->where('until', $approach->result_at?->toDateString())
                ->update(['until' => null]);
        }
        [$entry, $was] = $before['keep_out'] ?? [null, null];
        if ($entry !== null) {
            $was === null ? KeepOut::query()->whereKey($entry)->delete()
                : KeepOut::query()->whereKey($entry)->first()?->fill($was)->save();
        }
        if ($before !== [] && $approach->contact_id !== null) {
            (new CareerSignals)->refresh([$approach->contact_id]);
        }
    }

    /**
     * For good; an entry that has ended, or ends, or gives another reason, does not stand in the way of what the person
     * asked.
     *
     * @return array{int, array<string, mixed>|null}|null the entry, and what stood in it before
     */
    private static function keepOut(Contact $contact, Result $result, User $by): ?array
    {
        $entries = KeepOut::query()->where('type', KeepOutType::Contact)->where('contact_id', $contact->id);
        if ($result === Result::Left && (clone $entries)->inForce()->exists()) {
            return null;
        }
        $entry = $entries->firstOrNew(['type' => KeepOutType::Contact, 'contact_id' => $contact->id]);
        $was = $entry->exists ? $entry->only(['value', 'account_id', 'until', 'user_id', 'reason']) : null;
        $entry->fill([
            'value' => $contact->name(), 'account_id' => $contact->account_id, 'until' => null, 'user_id' => $by->id,
            'reason' => $result === Result::Stop ? KeepOut::ASKED : 'left the position',
        ])->save();

        return [$entry->id, $was];
    }
}
