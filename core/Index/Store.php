<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/** Where an index keeps its pieces. */
interface Store
{
    /** @return string|null null: there is none */
    public function get(string $key): ?string;

    /** So many bytes of a piece from an offset on, fewer at its end; empty where there are none. */
    public function part(string $key, int $offset, int $length): string;

    /** @return list<string> the keys that begin so */
    public function keys(string $prefix): array;
}
