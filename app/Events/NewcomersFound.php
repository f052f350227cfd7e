<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\Watch;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Events\Dispatchable;

/** A watch found records that it had not found before. */
final class NewcomersFound
{
    use Dispatchable;

    /** @param  array<int, string>  $why  what made each of them new, by its id */
    public function __construct(
        public readonly Watch $watch,
        public readonly array $why,
        public readonly CarbonImmutable $since,
    ) {
    }
}
