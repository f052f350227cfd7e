<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/**
 * A folder that only we read, made where there is none yet; also when several make it, or the ones above it, at once.
 */
final class Folder
{
    /** As many times as folders above may come in between. */
    private const TRIES = 20;

    public static function make(string $path): void
    {
        for ($try = 0; ! is_dir($path) && ! @mkdir($path, 0700, true); $try++) {
            if ($try === self::TRIES) {
                throw new RuntimeException("The folder $path cannot be made.");
            }
        }
    }
}
