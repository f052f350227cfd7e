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
    final public function __construct(string $message, public readonly string|int|null $at = null)
    {
        parent::__construct($message);
    }

    public static function at(string|int $place, string $message): static
    {
        return new static($message, $place);
    }
}
