<?php

declare(strict_types=1);

namespace App\Archive;

use RuntimeException;

/** Why an archive is not brought in, in a sentence. */
final class NotAnArchive extends RuntimeException
{
}
