<?php

declare(strict_types=1);

namespace App\Policies;

/** Signals come by files and follow from facts; the team reads them. */
final class SignalPolicy extends TeamPolicy
{
}
