<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Text\Algebra;

/**
 * Whether a query is true of one line: the simplest of what it can be worked out in.
 *
 * @implements Algebra<bool>
 */
final readonly class Truth implements Algebra
{
    public function __construct(private string $line)
    {
    }

    public function words(array $needles): bool
    {
        return array_filter($needles, fn (string $needle): bool => str_contains($this->line, $needle)) !== [];
    }

    public function all(array $parts): bool
    {
        return ! in_array(false, $parts, true);
    }

    public function any(array $parts): bool
    {
        return in_array(true, $parts, true);
    }

    public function not(mixed $part): bool
    {
        return ! $part;
    }
}
