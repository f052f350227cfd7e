<?php

declare(strict_types=1);

namespace App\Channels;

use App\KeepOut\EntriesInForce;
use App\Models\KeptList;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Bounces;
use Luftig\Core\Reach\ChannelType;

/** How many mails to a list of contacts are to be expected back, each at the best address that is known (rule 16). */
final class ListBounces
{
    private const CHUNK = 2000;

    /** @return array{Bounces, int} and how many have no address at all */
    public static function of(KeptList $list): array
    {
        $barred = EntriesInForce::now();
        $best = [];
        $members = array_values($list->members()->pluck('record_id')->all());
        foreach (array_chunk($members, self::CHUNK) as $some) {
            foreach (
                DB::table('channels')->where('type', ChannelType::Email)->whereIn('contact_id', $some)
                    ->get(['contact_id', 'value', 'state', 'chance']) as $row
            ) {
                $state = AddressState::from($row->state);
                $chance = $row->chance === null ? null : (float) $row->chance;
                $before = $best[$row->contact_id] ?? null;
                $isBetter = $before === null || $state->chance($chance) > $before[0]->chance($before[1]);
                if ($isBetter && $barred->address($row->value) === null) {
                    $best[$row->contact_id] = [$state, $chance];
                }
            }
        }

        return [Bounces::of(array_values($best)), count($members) - count($best)];
    }
}
