<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Generator;

/** Which values of one field stand where, collected place by place. */
interface Collected
{
    /** @param  list<string>  $values  none: it is known that there is none */
    public function add(array $values, int $place): void;

    /** @return Generator<string, string> key → bytes */
    public function pieces(string $field): Generator;

    /** @return array<array-key, array{int, int}> value → accounts, contacts; in the order in which the values came */
    public function totals(Weights $weights): array;

    /**
     * The number of the value at each place, where no place has several.
     *
     * @param  array<array-key, int>  $numbers  value → number, from 1
     * @return string|null four bytes a place; null: some have several
     */
    public function numbers(array $numbers, int $width): ?string;
}
