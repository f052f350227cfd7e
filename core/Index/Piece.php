<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Luftig\Core\Search\Entity;

/**
 * The format of an index: which pieces it has, how each is named, and what its bytes are. Whoever writes and whoever
 * reads an index name pieces by what stands here.
 *
 * An account has as many *pages* as it needs for its contacts, LEVELS on each, and its signals and openings, EVENTS on
 * each. Contact j of a page stands at place j · pages + page, and so does signal j, or opening j; position k that a
 * contact had before stands at k · LEVELS · pages + the contact's place, and so does signal k of the contact's own. So
 * a set of pages becomes the set of all their contacts by repeating it once a level, and a set of signals becomes the
 * set of their pages by laying the levels over each other.
 *
 * A *set* is a bit a place, the lowest in the lowest bit of the first byte; whatever may follow is 0. Numbers are of
 * four bytes and ids of contacts likewise, the lowest byte first. Texts are lines, parted by line feeds.
 *
 * What is of an entity and a field is named by both (of()); a field that stands for several is named as
 * Condition::named does.
 */
final class Piece
{
    public const LEVELS = 16;

    public const EVENTS = 32;

    /** How many pages there are, a number of eight bytes. */
    public const PAGES = 'pages';

    /** The account of each page, as numbers, ascending. */
    public const ACCOUNTS = 'accounts';

    /** Sites by latitude, so that those near a place are a stretch; PLACE bytes each. */
    public const PLACES = 'places';

    /** Latitude and longitude as floats of eight bytes, page and headquarters (0 or 1) as numbers. */
    public const PLACE = 24;

    public const PLACE_READ = 'elat/elon/Vpage/Vseat';

    public const PLACE_WRITTEN = 'eeVV';

    /** Ids of contacts, ascending, and the place of each, as numbers. */
    public const BY_ID = 'by id';

    public const PLACES_BY_ID = 'places by id';

    /** The set of pages that are the first of their account, and of those whose account has several. */
    public const FIRST = 'a:first';

    public const SEVERAL = 'a:several';

    /** The id of the contact at each place; 0 where there is nobody. */
    public const CONTACT_IDS = 'c:ids';

    /** The set of signals that are a contact's own; they stand among those of the account, too. */
    public const OWNED = 'e:owned';

    /** The name of a field of an entity, by which its pieces are called. */
    public static function of(Entity $of, string $key): string
    {
        return "{$of->value}:$key";
    }

    /** The set of places where there is any. */
    public static function all(Entity $of): string
    {
        return "{$of->value}:all";
    }

    /** By what a place stands sooner, as a number; 0 where there is nobody. */
    public static function order(Entity $of): string
    {
        return "{$of->value}:order";
    }

    /** The set of the first by their order, each band eight times as many as the one before. */
    public static function band(Entity $of, int|string $number = ''): string
    {
        return "{$of->value}:band#$number";
    }

    /** The set of those of whose signals, positions before, or openings anything is known. */
    public static function partsKnown(Entity $of): string
    {
        return self::known(self::of($of, 'parts'));
    }

    /** The set of places of which a field is known. */
    public static function known(string $field): string
    {
        return "$field:known";
    }

    /** The set of places whose text has anything in a passage. */
    public static function knownIn(string $field, string $passage): string
    {
        return "$field:$passage:known";
    }

    /** The set of places with a value, for fields with few values. */
    public static function value(string $field, int|string $value): string
    {
        return "$field=$value";
    }

    /** A binary digit of numbers, as a set, the lowest first; each number is one higher than it is. */
    public static function digit(string $field, int $digit): string
    {
        return "$field#$digit";
    }

    /** How many digits these are, as text. */
    public static function digits(string $field): string
    {
        return "d:$field";
    }

    /** How many accounts and contacts have each value, as JSON, the most frequent first. */
    public static function totals(string $field): string
    {
        return "n:$field";
    }

    /** The number of the value at each page, from 1 in the order of totals; 0: none. For fields with many values. */
    public static function codes(string $field): string
    {
        return "k:$field";
    }

    /** The text of a field whose values are without end: a line a value. */
    public static function names(string $field): string
    {
        return "v:$field";
    }

    /** The text of a field that is asked by words; own signals have theirs, since their places are others. */
    public static function text(Entity $of, string $field): string
    {
        return $of === Entity::OwnEvent ? "own:$field" : $field;
    }

    /** The lines of a text. */
    public static function lines(string $text): string
    {
        return "t:$text";
    }

    /** Where the places of each line begin, as numbers, with one more for the end. */
    public static function starts(string $text): string
    {
        return "o:$text";
    }

    /** The places of the lines, as numbers. */
    public static function places(string $text): string
    {
        return "p:$text";
    }

    /** The set of places of a line that stands often; among the others it has none. */
    public static function line(string $text, int $number): string
    {
        return "l:$text#$number";
    }
}
