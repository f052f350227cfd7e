<?php

declare(strict_types=1);

namespace App\Policies;

/** A position is changed by whoever may change the contact. */
final class PositionPolicy extends TeamPolicy
{
}
