<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

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

    public function part(string $key, int $offset, int $length): string
    {
        return substr($this->pieces[$key] ?? '', $offset, $length);
    }

    public function keys(string $prefix): array
    {
        // Asked dozens of times for a page, of thousands of keys.
        return array_map(
            strval(...), array_values(preg_grep('~^'.preg_quote($prefix, '~').'~', array_keys($this->pieces)) ?: []),
        );
    }
}
