<?php

declare(strict_types=1);

namespace App\Policies;

/** What accounts seek is everybody’s to read. */
final class OpeningPolicy extends TeamPolicy
{
}
