<?php

declare(strict_types=1);

namespace App\Feeds;

use RuntimeException;

/** A source that does not answer as it should; the message is a sentence for people. */
final class Unreachable extends RuntimeException
{
    /**
     * @param  int|null  $wait  seconds for which the source asks to be left alone
     * @param  bool  $isMissing  whether the source is there, and has nothing at this address
     * @param  bool  $isRefused  whether it answered, and said that it does not do it
     */
    public function __construct(
        string $sentence,
        public readonly ?int $wait = null,
        public readonly bool $isMissing = false,
        public readonly bool $isRefused = false,
    ) {
        parent::__construct($sentence);
    }
}
