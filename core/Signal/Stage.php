<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** Where a signal is in its life (rule 1). */
enum Stage: string
{
    case Announced = 'announced';
    case Rising = 'rising';
    case Fresh = 'fresh';
    case Fading = 'fading';
    case Spent = 'spent';

    public function isLive(): bool
    {
        return $this === self::Rising || $this === self::Fresh || $this === self::Fading;
    }
}
