<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\Reason;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class ReasonRecorded
{
    use Dispatchable;

    public function __construct(public Reason $reason)
    {
    }
}
