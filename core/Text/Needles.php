<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/**
 * What a query looks for, whatever joins it: the words and phrases by which it can match a text, without those that it
 * excludes.
 *
 * @implements Algebra<list<string>>
 */
final readonly class Needles implements Algebra
{
    public function words(array $needles): array
    {
        return $needles;
    }

    public function all(array $parts): array
    {
        return array_values(array_unique(array_merge([], ...$parts)));
    }

    public function any(array $parts): array
    {
        return $this->all($parts);
    }

    public function not(mixed $part): array
    {
        return [];
    }
}
