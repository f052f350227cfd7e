<?php

declare(strict_types=1);

namespace App\Channels;

use Illuminate\Support\Facades\DB;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/**
 * Tells switchboards from direct numbers: one that several people of an account have, or that somebody has as its
 * switchboard, is nobody's own. What a person said of a number stays.
 */
final class SharedNumbers
{
    /** @param  list<int>  $accounts */
    public static function tell(array $accounts): void
    {
        if ($accounts === []) {
            return;
        }
        $in = implode(',', array_map(intval(...), $accounts));
        $direct = ChannelType::DirectPhone->value;
        $state = "IF(s.value IS NULL, '".AddressState::Unknown->value."', '".AddressState::Shared->value."')";
        DB::update(
            'UPDATE channels k JOIN contacts c ON c.id = k.contact_id LEFT JOIN (SELECT o.account_id, n.value FROM '
                .'contacts o JOIN channels n ON n.contact_id = o.id WHERE '
                ."o.account_id IN ($in) AND o.merged_into IS NULL AND n.type IN ('$direct', '"
                .ChannelType::Switchboard->value."') GROUP BY o.account_id, n.value HAVING COUNT(*) > 1) s "
                .'ON s.account_id = c.account_id AND s.value = k.value '
                ."SET k.state = $state WHERE c.account_id IN ($in) AND k.type = '$direct' AND k.state IN ('"
                .AddressState::Unknown->value."', '".AddressState::Shared->value."') AND k.state <> $state",
        );
    }
}
