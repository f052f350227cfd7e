<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Feeds\Formats\Activities;
use App\Feeds\Formats\Cards;
use App\Feeds\Formats\FundingRounds;
use App\Feeds\Formats\HeadcountTable;
use App\Feeds\Formats\JsonPeople;
use App\Feeds\Formats\PostingLines;
use App\Feeds\Formats\PostingPages;
use App\Feeds\Formats\PressFeed;
use App\Feeds\Formats\SitePages;
use InvalidArgumentException;

/** The formats there are; another one is a class and a line here. */
final class Formats
{
    /** @var list<class-string<Format>> */
    private const ALL = [
        PostingPages::class, PostingLines::class, PressFeed::class, FundingRounds::class, HeadcountTable::class,
        Activities::class, JsonPeople::class, Cards::class, SitePages::class,
    ];

    /** @return array<string, string> name → label */
    public static function labels(): array
    {
        $labels = [];
        foreach (self::ALL as $format) {
            $labels[$format::name()] = $format::label();
        }

        return $labels;
    }

    public static function named(string $name): Format
    {
        foreach (self::ALL as $format) {
            if ($format::name() === $name) {
                return new $format;
            }
        }
        throw new InvalidArgumentException("There is no format $name.");
    }
}
