<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** What becomes of an item that may be about an account (rule 25). */
enum Aboutness: string
{
    case Taken = 'taken';
    case ToDecide = 'to_decide';
    case Dropped = 'dropped';
}
