<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

/** How a field is asked. */
enum Comparison: string
{
    /** Any of several values. */
    case Any = 'any';

    /** A number between two bounds, either of which may be open. */
    case Range = 'range';

    /** A text query (rule 11). */
    case Query = 'query';

    /** Not farther than a number of km from a place. */
    case Near = 'near';

    /** Any of several sets that are kept outside the index, such as lists. */
    case Sets = 'sets';

    /** Several conditions that hold of one and the same signal or position. */
    case Parts = 'parts';

    public function label(): string
    {
        return match ($this) {
            self::Any, self::Sets => 'values',
            self::Range => 'a lower and an upper bound',
            self::Query => 'words',
            self::Near => 'a radius around a place',
            self::Parts => 'what holds of one and the same',
        };
    }
}
