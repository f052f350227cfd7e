<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;
use PDO;
use Throwable;

/** Many rows at once, as a file that the server reads: statements with all their values cost it about twice as much. */
final class Bulk
{
    /** From this mode on (innodb_autoinc_lock_mode) rows that are read from a file are numbered with gaps. */
    private const INTERLEAVED = 2;

    /** Rows of one statement. */
    private const STATEMENT = 500;

    /**
     * @param  list<string>  $columns
     * @param  list<list<bool|float|int|string|null>>  $rows
     * @return list<int> the ids they got, in order, where the table counts them up
     */
    public static function insert(string $table, array $columns, array $rows): array
    {
        if ($rows === []) {
            return [];
        }
        [$mode, $step] = self::counting();
        if ($mode >= self::INTERLEAVED) {
            return array_merge(...array_map(
                fn (array $some): array => self::statement($table, $columns, $some, $step),
                array_chunk($rows, self::STATEMENT),
            ));
        }
        self::load($table, $columns, $rows, '');

        return self::numbered(count($rows), $step);
    }

    /**
     * In a cluster several count at once, and only of a statement whose rows are known beforehand the ids follow each
     * other.
     *
     * @param  list<string>  $columns
     * @param  list<list<bool|float|int|string|null>>  $rows
     * @return list<int>
     */
    private static function statement(string $table, array $columns, array $rows, int $step): array
    {
        DB::table($table)->insert(array_map(fn (array $row): array => array_combine($columns, $row), $rows));

        return self::numbered(count($rows), $step);
    }

    /** @return list<int> the ids of the last statement, the first of which the server tells */
    private static function numbered(int $rows, int $step): array
    {
        $first = (int) DB::selectOne('SELECT LAST_INSERT_ID() AS id')->id;

        return $first > 0 ? array_map(fn (int $at): int => $first + $at * $step, range(0, $rows - 1)) : [];
    }

    /** @return array{int, int} how the server counts (innodb_autoinc_lock_mode), and by how much */
    private static function counting(): array
    {
        $says = DB::selectOne('SELECT @@innodb_autoinc_lock_mode AS mode, @@auto_increment_increment AS step');

        return [(int) $says->mode, (int) $says->step];
    }

    /**
     * Puts rows in the place of those with their keys.
     *
     * @param  list<string>  $columns
     * @param  list<list<bool|float|int|string|null>>  $rows
     */
    public static function replace(string $table, array $columns, array $rows): void
    {
        if ($rows !== []) {
            self::load($table, $columns, $rows, 'REPLACE');
        }
    }

    /**
     * One column of many rows, each to a value of its own, in one statement.
     *
     * @param  array<int, int|null>  $values  id → number
     */
    public static function set(string $table, string $column, array $values): void
    {
        if ($values === []) {
            return;
        }
        $cases = '';
        foreach ($values as $id => $value) {
            $cases .= "WHEN $id THEN ".($value ?? 'NULL').' ';
        }
        DB::statement(
            "UPDATE `$table` SET `$column` = CASE id $cases END WHERE id IN (".implode(',', array_keys($values)).')',
        );
    }

    /**
     * @param  list<string>  $columns
     * @param  list<list<bool|float|int|string|null>>  $rows
     */
    private static function load(string $table, array $columns, array $rows, string $how): void
    {
        $text = '';
        foreach ($rows as $row) {
            foreach ($row as $i => $value) {
                if ($value === null) {
                    $row[$i] = '\N';
                } elseif (is_string($value)) {
                    $row[$i] = strpbrk($value, "\\\t\n\r\0") === false
                        ? $value
                        : strtr($value, ['\\' => '\\\\', "\t" => '\t', "\n" => '\n', "\r" => '\r', "\0" => '\0']);
                } elseif ($value === false) {
                    $row[$i] = '0';
                }
            }
            $text .= implode("\t", $row)."\n";
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'luftig');
        try {
            file_put_contents($file, $text);
            $pdo = DB::connection()->getPdo();
            $names = '`'.implode('`, `', $columns).'`';
            $sql = 'LOAD DATA LOCAL INFILE '.$pdo->quote($file)
                ." $how INTO TABLE `$table` CHARACTER SET utf8mb4 FIELDS TERMINATED BY '\\t' ESCAPED BY '\\\\' "
                ."LINES TERMINATED BY '\\n' ($names)";
            $taken = $pdo->exec($sql);
            // Who listens to what is written hears of it too.
            DB::connection()->logQuery($sql, []);
            // LOCAL makes the server pass over what breaks a key, where a statement would fail.
            if ($how === '' && $taken !== count($rows)) {
                throw new LostRows('Of '.count($rows)." rows for $table the database took $taken.");
            }
            $cut = self::firstCut($pdo);
            if ($cut !== null) {
                throw new LostRows("A row for $table does not fit: $cut.");
            }
        } catch (Throwable $e) {
            // After a load that broke, the connection may be out of step and hold its locks; it ends here, and so do
            // they.
            unset($pdo);
            DB::disconnect();
            throw $e;
        } finally {
            unlink($file);
        }
    }

    /**
     * LOCAL also makes the server shorten what is too long and only warn of it; digits after a decimal point are a
     * note.
     */
    private static function firstCut(PDO $pdo): ?string
    {
        $statement = $pdo->query('SHOW WARNINGS');
        foreach ($statement === false ? [] : $statement->fetchAll(PDO::FETCH_ASSOC) as $warning) {
            if ($warning['Level'] !== 'Note') {
                return $warning['Message'];
            }
        }

        return null;
    }
}
