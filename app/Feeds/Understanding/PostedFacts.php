<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\Understanding;
use App\Intake\FromSource;
use App\Models\Feed;
use App\Models\ItemState;

/** Facts that sources post: taken in as a row of a file would be, a source and a day an intake that can be undone. */
final class PostedFacts implements Understanding
{
    public function take(Feed $feed, array $items): int
    {
        foreach ($items as $item) {
            [$account, $why] = FromSource::account($feed->name, $item->facts['cells'] ?? []);
            $account === null
                ? $item->becomes(ItemState::Refused, $why)
                : $item->becomes(ItemState::Taken, $why, $account);
        }

        return 0;
    }
}
