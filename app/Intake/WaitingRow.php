<?php

declare(strict_types=1);

namespace App\Intake;

use RuntimeException;

/** A row that waits for somebody to say what is meant; the message says why. */
final class WaitingRow extends RuntimeException
{
}
