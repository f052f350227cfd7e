<?php

declare(strict_types=1);

namespace App\Policies;

/** Whom an item is about anybody of the team decides. */
final class MentionPolicy extends TeamPolicy
{
}
