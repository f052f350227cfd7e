<?php

declare(strict_types=1);

namespace Luftig\Core;

use InvalidArgumentException;

/**
 * Something given to the core cannot be used. The message is a sentence a rep can read;
 * `at` names the place, as a field path such as `signals[0].kind` or a character position from 0.
 */
class Mistake extends InvalidArgumentException
{
    /** @param  int|null  $character  where in the text of that place, from 0 */
    final public function __construct(
        string $message,
        public readonly string|int|null $at = null,
        public readonly ?int $character = null,
    ) {
        parent::__construct($message);
    }

    public static function at(string|int $place, string $message, ?int $character = null): static
    {
        return new static($message, $place, $character ?? (is_int($place) ? $place : null));
    }

    /** The message, and where the mistake stands in a text, counted from 1 as people count. */
    final public function inWords(): string
    {
        return $this->getMessage().($this->character === null ? '' : ' (at character '.($this->character + 1).')');
    }
}
