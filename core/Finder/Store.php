<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

/** Where an index keeps its pieces. */
interface Store
{
    /** @return string|null null: there is none */
    public function get(string $key): ?string;

    /** Four bytes of a piece as a number, the lowest first. */
    public function number(string $key, int $place): int;

    /** @return list<string> the keys that begin so */
    public function keys(string $prefix): array;
}
