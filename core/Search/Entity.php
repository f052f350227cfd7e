<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

/** Of whom or what something is a fact; the value is how the pieces of an index begin. */
enum Entity: string
{
    case Account = 'a';
    case Contact = 'c';

    /** A signal of an account. */
    case Event = 'e';

    /** A position that a contact had before. */
    case PositionBefore = 'b';

    /** An opening of an account. */
    case Opening = 'o';

    /** A signal of a contact's own. */
    case OwnEvent = 's';
}
