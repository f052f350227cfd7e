<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Models\Offer;
use App\Models\User;

/** The plan of a day, as programs read it. */
final class PlanLines
{
    /** @return list<array<string, mixed>> */
    public static function of(Offer $offer, User $rep): array
    {
        $lines = [];
        foreach ((new Plan($offer, $rep))->groups() as $group => $rows) {
            foreach ($rows as $row) {
                $lines[] = [
                    'group' => $group, 'account_id' => $row->standing->account_id,
                    'account' => $row->standing->account->name, 'contact_id' => $row->contact?->id,
                    'priority' => $row->standing->priority, 'act_by' => $row->actBy?->toDateString(),
                    'headline' => $row->headline(), 'words' => $row->reason->words ?? $row->draft->words(),
                    'reason_id' => $row->reason?->id,
                ];
            }
        }

        return $lines;
    }
}
