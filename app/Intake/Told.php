<?php

declare(strict_types=1);

namespace App\Intake;

/** Of whom, or what, a file told so far, by the keys of its records. */
final class Told
{
    /** @var array<int, true> by the print of the key */
    private array $met = [];

    /** @param  array<int, array<string, mixed>>  $records */
    public function remember(RowReader $rows, array $records): void
    {
        foreach ($records as $record) {
            $this->met[self::print($rows->key($record))] = true;
        }
    }

    /**
     * Parts records so that none is twice in a group: a later row then meets what an earlier one made, and says that it
     * comes later in its file. What is told by a mark alone comes last, since another row may tell it whole.
     *
     * @param  array<int, array<string, mixed>>  $records  by line
     * @return list<array<int, array<string, mixed>>>
     */
    public function groups(RowReader $rows, array $records): array
    {
        $groups = [];
        $seen = [];
        $last = array_filter($records, fn (array $record): bool => $record['is_short'] ?? false);
        foreach (array_diff_key($records, $last) + $last as $line => $record) {
            $key = $rows->key($record);
            $place = $seen[$key] = ($seen[$key] ?? -1) + 1;
            $groups[isset($last[$line]) ? "last $place" : $place][$line] = [
                'is_later' => $place > 0 || isset($this->met[self::print($key)]),
            ]
                + $record;
        }

        return array_values($groups);
    }

    /**
     * Those of records of which it told before.
     *
     * @param  array<int, array<string, mixed>>  $records  by line
     * @return array<int, array<string, mixed>>
     */
    public function known(RowReader $rows, array $records): array
    {
        return array_filter(
            $records,
            fn (array $record): bool => isset($this->met[self::print($rows->key($record))]),
        );
    }

    /** As a number, since there may be two million of them. */
    private static function print(string $key): int
    {
        return (int) hexdec(substr(hash('xxh3', $key), 0, 15));
    }
}
