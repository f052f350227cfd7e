<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

/** Pieces of an index that were just made. */
final readonly class Memory implements Store
{
    /** @param  array<string, string>  $pieces */
    public function __construct(public array $pieces)
    {
    }

    public function get(string $key): ?string
    {
        return $this->pieces[$key] ?? null;
    }

    public function number(string $key, int $place): int
    {
        return unpack('V', $this->pieces[$key], 4 * $place)[1] ?? 0;
    }

    public function keys(string $prefix): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys($this->pieces)), static fn (string $key): bool => str_starts_with($key, $prefix)));
    }
}
