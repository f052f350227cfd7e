<?php

declare(strict_types=1);

namespace App\View;

use Throwable;

/** Why somebody was turned away: what the policy says, or else what holds of most. */
final class Forbidden
{
    private const SAYS_NOTHING = ['', 'Forbidden', 'This action is unauthorized.'];

    public static function because(Throwable $refusal): string
    {
        return in_array($refusal->getMessage(), self::SAYS_NOTHING, true)
            ? 'Rules and Team are for leads and admins, and what a colleague wrote is for that colleague to change.'
            : $refusal->getMessage();
    }
}
