<?php

declare(strict_types=1);

namespace App\Models;

/** What was decided of a candidate. */
enum CandidateState: string
{
    case Open = 'open';
    case Accepted = 'accepted';
    case Aside = 'aside';
}
