<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;

/** Makes facts of one kind of items: whose they are, what they mean. */
interface Understanding
{
    /**
     * @param  list<Brought>  $items  new, changed, or gone; each is told what becomes of it
     * @return int how many signals are new
     */
    public function take(Feed $feed, array $items): int;
}
