<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Support\Facades\DB;

/** Many rows in one statement: a prepared one with a placeholder for each value costs several times as much. */
final class Bulk
{
    private const ROWS = 1000;

    /**
     * @param  list<string>  $columns
     * @param  list<list<bool|float|int|string|null>>  $rows
     * @return list<int> the ids they got, in order, where the table counts them up
     */
    public static function insert(string $table, array $columns, array $rows, string $then = '', string $verb = 'INSERT'): array
    {
        $ids = [];
        $names = '`'.implode('`, `', $columns).'`';
        $pdo = DB::connection()->getPdo();
        foreach (array_chunk($rows, self::ROWS) as $chunk) {
            $values = implode(',', array_map(self::values(...), $chunk));
            $pdo->exec("$verb INTO `$table` ($names) VALUES $values $then");
            // One INSERT of a known number of rows gets consecutive ids (innodb_autoinc_lock_mode 0 or 1).
            $first = (int) $pdo->lastInsertId();
            if ($first > 0) {
                array_push($ids, ...range($first, $first + count($chunk) - 1));
            }
        }

        return $ids;
    }

    /** @param  list<bool|float|int|string|null>  $row */
    private static function values(array $row): string
    {
        $pdo = DB::connection()->getPdo();
        $out = [];
        foreach ($row as $value) {
            $out[] = match (true) {
                $value === null => 'NULL',
                is_string($value) => $pdo->quote($value),
                is_bool($value) => $value ? '1' : '0',
                default => (string) $value,
            };
        }

        return '('.implode(',', $out).')';
    }
}
