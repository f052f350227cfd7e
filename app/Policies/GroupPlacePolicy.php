<?php

declare(strict_types=1);

namespace App\Policies;

/** The buying group of an account is put in order by the whole team. */
final class GroupPlacePolicy extends TeamPolicy
{
}
