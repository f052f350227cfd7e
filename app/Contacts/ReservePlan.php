<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Finder\Indexes;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reservation;
use App\Models\User;
use App\Support\Together;
use Carbon\CarbonImmutable;

/**
 * What is planned is reserved until the end of the next working day (rule 18), and what is planned no longer is not;
 * what a rep reserved by hand stays.
 */
final class ReservePlan
{
    /**
     * @param  list<Contact>  $contacts  of the plan
     * @return bool whether all are the rep's now; false: a colleague's plan was quicker somewhere
     */
    public static function keep(Offer $offer, User $rep, array $contacts): bool
    {
        $accounts = array_column(array_map(fn (Contact $one): array => [$one->id, $one->account_id], $contacts), 1, 0);
        $until = $rep->today()->addWeekday();
        $own = Reservation::query()->where('user_id', $rep->id)->where('until', '>=', $rep->today()->toDateString());
        $planned = (clone $own)->where('planned', true)->where('offer_id', $offer->id)
            ->where('until', $until->toDateString())->pluck('account_id', 'contact_id')->all();
        $byHand = (clone $own)->where('planned', false)->pluck('contact_id')->flip()->all();
        $new = array_diff_key($accounts, $planned, $byHand);
        if ($new === [] && array_diff_key($planned, $accounts) === []) {
            return true;
        }

        return Together::write(fn (): bool => self::write($offer, $rep, $accounts, $new, $until));
    }

    /**
     * @param  array<int, int>  $accounts  contact → account, of the whole plan
     * @param  array<int, int>  $new
     */
    private static function write(Offer $offer, User $rep, array $accounts, array $new, CarbonImmutable $until): bool
    {
        $gone = Reservation::query()->where('user_id', $rep->id)->where('offer_id', $offer->id)->where('planned', true)
            ->where(fn ($either) => $either->whereNotIn('contact_id', array_keys($accounts))
                ->orWhere('until', '<>', $until->toDateString()));
        $changed = (clone $gone)->pluck('account_id')->all();
        $gone->delete();
        Reservation::query()->whereIn('contact_id', array_keys($new))
            ->where('until', '<', $rep->today()->toDateString())->delete();
        Reservation::query()->insertOrIgnore(array_map(fn (int $contact, int $account): array => [
            'contact_id' => $contact, 'account_id' => $account, 'offer_id' => $offer->id, 'user_id' => $rep->id,
            'until' => $until->toDateString(), 'planned' => true, 'created_at' => now(), 'updated_at' => now(),
        ], array_keys($new), array_values($new)));
        Indexes::changed([...$changed, ...array_values($new)]);

        return Reservation::query()->whereIn('contact_id', array_keys($new))->where('user_id', '<>', $rep->id)
            ->doesntExist();
    }
}
