<?php

declare(strict_types=1);

namespace App\Intake;

use RuntimeException;

/** What was written only to see what would become of it is not to stay. */
final class TakenBack extends RuntimeException
{
}
