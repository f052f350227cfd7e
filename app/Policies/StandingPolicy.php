<?php

declare(strict_types=1);

namespace App\Policies;

/** Standings are computed; the team reads them. */
final class StandingPolicy extends TeamPolicy
{
}
