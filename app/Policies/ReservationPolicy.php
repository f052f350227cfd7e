<?php

declare(strict_types=1);

namespace App\Policies;

/** Everybody reserves for themselves; only their own is let go (TakeContact). */
final class ReservationPolicy extends TeamPolicy
{
}
