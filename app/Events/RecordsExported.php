<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\User;
use Illuminate\Foundation\Events\Dispatchable;

/** What is known of accounts or people is given out of the house. */
final class RecordsExported
{
    use Dispatchable;

    /** @param  string  $address  what was asked for, by which the same can be asked again */
    public function __construct(
        public readonly ?User $by,
        public readonly string $format,
        public readonly string $address,
    ) {
    }
}
