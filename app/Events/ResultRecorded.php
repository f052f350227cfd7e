<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\Approach;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class ResultRecorded
{
    use Dispatchable;

    public function __construct(public Approach $approach)
    {
    }
}
