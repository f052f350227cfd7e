<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Figure;
use App\Models\KeptList;
use App\Models\LookUpRun;
use App\Models\Offer;
use App\Models\StandingOrder;
use App\Models\User;
use App\Support\Format;
use App\Support\Together;

/** Writes down who or what is to be asked for, and in which order. */
final class BeginRun
{
    private const CHUNK = 1000;

    /**
     * @param  list<Contact>  $contacts
     * @param  float|null  $most  credits that it may take
     */
    public static function of(
        Offer $offer,
        User $by,
        string $name,
        ?KeptList $list,
        array $contacts,
        ?float $most,
        bool $acceptsDoubtful,
        ?StandingOrder $order = null,
    ): LookUpRun {
        return Together::write(function () use (
            $offer,
            $by,
            $name,
            $list,
            $contacts,
            $most,
            $acceptsDoubtful,
            $order,
        ): LookUpRun {
            $run = LookUpRun::query()->create([
                'offer_id' => $offer->id, 'user_id' => $by->id, 'list_id' => $list?->id, 'name' => $name,
                'accepts_doubtful' => $acceptsDoubtful, 'most' => $most, 'standing_order_id' => $order?->id,
            ]);
            foreach (array_chunk($contacts, self::CHUNK, true) as $some) {
                $run->people()->insert(array_map(fn (Contact $one, int $position): array => [
                    'look_up_run_id' => $run->id, 'contact_id' => $one->id, 'position' => $position,
                ], $some, array_keys($some)));
            }

            return $run;
        });
    }

    /** @param  non-empty-list<array{Account, Figure}>  $figures */
    public static function ofFigures(Offer $offer, User $by, array $figures): LookUpRun
    {
        return Together::write(function () use ($offer, $by, $figures): LookUpRun {
            $run = LookUpRun::query()->create([
                'offer_id' => $offer->id, 'user_id' => $by->id,
                'name' => Format::count(count($figures), 'figure').' of companies',
            ]);
            $run->figures()->insert(array_map(fn (array $one, int $position): array => [
                'look_up_run_id' => $run->id, 'account_id' => $one[0]->id, 'fact' => $one[1]->value,
                'position' => $position,
            ], $figures, array_keys($figures)));

            return $run;
        });
    }
}
