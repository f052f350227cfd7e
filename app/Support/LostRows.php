<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** The database did not take every row, so that the transaction must not stand. */
final class LostRows extends RuntimeException
{
}
