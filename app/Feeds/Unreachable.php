<?php

declare(strict_types=1);

namespace App\Feeds;

use RuntimeException;

/** A source that does not answer as it should; the message is a sentence for people. */
final class Unreachable extends RuntimeException
{
    /** @param  int|null  $wait  seconds for which the source asks to be left alone */
    public function __construct(string $sentence, public readonly ?int $wait = null)
    {
        parent::__construct($sentence);
    }
}
