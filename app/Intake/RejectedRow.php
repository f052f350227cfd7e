<?php

declare(strict_types=1);

namespace App\Intake;

use RuntimeException;

/** A row that is refused; the message says why. */
final class RejectedRow extends RuntimeException
{
}
