<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** What is left of the time to act, shrinking to nothing. */
final class Fuse extends Component
{
    /** A fuse of so many days is whole. */
    private const WHOLE = 60;

    private const SOON = 2;

    public readonly string $words;

    public readonly string $day;

    public readonly bool $soon;

    /** 0–1; null where there is no hurry */
    public readonly ?float $left;

    /** @param  string|null  $way  how they are reached */
    public function __construct(?CarbonImmutable $actBy, public readonly ?string $way = null)
    {
        $days = $actBy === null ? null : (int) CarbonImmutable::today()->diffInDays($actBy);
        $this->words = Format::hurry($actBy);
        $this->day = $actBy === null ? '' : Format::date($actBy);
        $this->soon = $days !== null && $days >= 0 && $days <= self::SOON;
        $this->left = $days === null ? null : max(0.0, min(1.0, $days / self::WHOLE));
    }

    public function render(): View
    {
        return view('components.fuse');
    }
}
