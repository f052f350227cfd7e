<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;

/** schema.org JobPosting as JSON Lines: a posting a line. */
final class PostingLines implements Format
{
    private const LONGEST = 1_000_000;

    public static function name(): string
    {
        return 'posting-lines';
    }

    public static function label(): string
    {
        return 'Job board: JobPosting as JSON Lines';
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Posting;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        if (! in_array($answer->beginning()[0] ?? '{', ['{', "\n"], true)) {
            throw new Unreadable('These are no JSON Lines: each line is an object, beginning with {.');
        }

        return new Portion($this->items($answer));
    }

    /** @return iterable<Found> */
    private function items(Fetched $answer): iterable
    {
        foreach ($answer->lines(self::LONGEST) as $line) {
            if (trim($line) === '') {
                continue;
            }
            $json = json_decode($line, true);
            yield is_array($json) && ! array_is_list($json)
                ? JobPosting::found($json, $line)
                : new Found(sha1($line), mb_strimwidth(trim($line), 0, 80, '…'), [], $line, refused: match (true) {
                    strlen($line) > self::LONGEST => 'The line is longer than a megabyte.',
                    default => 'The line is no whole JSON object.',
                });
        }
    }
}
