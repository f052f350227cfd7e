<?php

declare(strict_types=1);

namespace App\Feeds;

use RuntimeException;

/** An answer that is not in the format of its feed; the message is a sentence for people. */
final class Unreadable extends RuntimeException
{
}
