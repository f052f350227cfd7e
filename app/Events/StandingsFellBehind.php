<?php

declare(strict_types=1);

namespace App\Events;

use Illuminate\Foundation\Events\Dispatchable;

/** Some accounts are marked as changed and were not computed while somebody waited. */
final class StandingsFellBehind
{
    use Dispatchable;
}
