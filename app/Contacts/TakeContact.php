<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reservation;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;

/** Reserves a contact for one rep until the end of the next working day (rule 18). */
final class TakeContact
{
    /**
     * @return Reservation|null the colleague's, where somebody else has the contact already; null: it is the rep's now
     */
    public static function take(Offer $offer, Contact $contact, User $rep): ?Reservation
    {
        Reservation::query()->where('contact_id', $contact->id)->where('until', '<', today())->delete();
        $fields = [
            'account_id' => $contact->account_id,
            'offer_id' => $offer->id,
            'until' => CarbonImmutable::today()->addWeekday(), 'planned' => false,
        ];
        try {
            Reservation::query()->create($fields + ['contact_id' => $contact->id, 'user_id' => $rep->id]);

            return null;
        } catch (UniqueConstraintViolationException) {
            $there = Reservation::query()->with('user')->where('contact_id', $contact->id)->first();
            if ($there === null || $there->user_id !== $rep->id) {
                return $there;
            }
            $there->update($fields);

            return null;
        }
    }

    /** Another's reservation of a contact that still holds. */
    public static function colleagues(Contact $contact, User $rep): ?Reservation
    {
        return Reservation::query()->with('user')->where('contact_id', $contact->id)->where('user_id', '<>', $rep->id)
            ->where('until', '>=', today())->first();
    }

    public static function release(Contact $contact, User $rep): void
    {
        Reservation::query()->where('contact_id', $contact->id)->where('user_id', $rep->id)->delete();
    }
}
