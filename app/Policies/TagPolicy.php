<?php

declare(strict_types=1);

namespace App\Policies;

/** Tags are the team’s. */
final class TagPolicy extends TeamPolicy
{
}
