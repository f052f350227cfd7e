<?php

declare(strict_types=1);

namespace App\View;

use App\Support\Format;

/** One of several views of the same things, with how many there are. */
final readonly class Tab
{
    public string $count;

    public function __construct(public string $label, public string $url, public bool $current, ?int $count = null)
    {
        $this->count = $count === null ? '' : Format::number($count);
    }
}
