<?php

declare(strict_types=1);

namespace App\Policies;

/** Doubtful pairs are decided by whoever looks at them first, and can be undone. */
final class DoublePolicy extends TeamPolicy
{
}
