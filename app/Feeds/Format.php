<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\ItemKind;

/** An open format in which sources speak: an answer in, items out. It knows neither the base nor the network. */
interface Format
{
    /** By which a feed names it; it stays. */
    public static function name(): string;

    /** As whoever sets up a feed reads it. */
    public static function label(): string;

    public static function kind(): ItemKind;

    /**
     * @param  Cursor  $cursor  how far the feed was read before
     *
     * @throws Unreadable where the answer is not in this format
     */
    public function read(Fetched $answer, Cursor $cursor): Portion;
}
