<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Feeds\Understanding\Deeds;
use App\Feeds\Understanding\Events;
use App\Feeds\Understanding\Heads;
use App\Feeds\Understanding\Pages;
use App\Feeds\Understanding\People;
use App\Feeds\Understanding\PostedFacts;
use App\Feeds\Understanding\Postings;
use App\Feeds\Understanding\Reports;
use App\Feeds\Understanding\Rounds;
use App\Models\ItemKind;

/** Who understands what. */
final class Understandings
{
    public static function of(ItemKind $kind): Understanding
    {
        return match ($kind) {
            ItemKind::Posting => new Postings,
            ItemKind::Report => new Reports,
            ItemKind::Round => new Rounds,
            ItemKind::Deed => new Deeds,
            ItemKind::Page => new Pages,
            ItemKind::Heads => new Heads,
            ItemKind::Person => new People,
            ItemKind::Event => new Events,
            ItemKind::Fact => new PostedFacts,
        };
    }
}
