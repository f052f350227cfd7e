<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

/** Which limit held an approach back. */
enum LeftOut: string
{
    case AccountFull = 'account_full';
    case DayFull = 'day_full';
    case WeekFull = 'week_full';
}
