<?php

declare(strict_types=1);

namespace App\Standings;

use App\Events\RulesSaved;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\User;

/** Saves rules as a new version. */
final class NewRules
{
    public static function save(RuleSet $rules, Offer $offer): void
    {
        $rules->save();
        activity()->performedOn($rules)->log('rules of '.$offer->name.' saved as version '.$rules->version);
        RulesSaved::dispatch($offer);
    }

    /**
     * The rules in force with some parts of them exchanged.
     *
     * @param  array<string, mixed>  $changes
     */
    public static function change(Offer $offer, array $changes, User $by, string $note): void
    {
        $inForce = $offer->loadMissing('rules')->rules;
        self::save(new RuleSet($changes + [
            'offer_id' => $offer->id, 'version' => ($inForce->version ?? 0) + 1, 'author_id' => $by->id,
            'note' => $note, 'criteria' => $inForce->criteria ?? [], 'kinds' => $inForce->kinds ?? [],
            'buyer_roles' => $inForce->buyer_roles ?? [], 'roles_of_interest' => $inForce->roles_of_interest ?? [],
            'technologies' => $inForce->technologies ?? [], 'topics' => $inForce->topics ?? [],
            'angles' => $inForce->angles ?? [], 'points' => $inForce->points ?? [],
            'lesson_id' => $inForce?->lesson_id,
        ]), $offer);
    }
}
