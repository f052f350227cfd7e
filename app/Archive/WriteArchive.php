<?php

declare(strict_types=1);

namespace App\Archive;

use Illuminate\Support\Facades\DB;
use PDO;
use RuntimeException;
use ZipArchive;

/**
 * Writes all that is the team's own as one archive: a file of JSON Lines for each table, what was uploaded, a schema of
 * the lines and a manifest with the number of lines and the sum of each file. All of it is of one moment.
 */
final class WriteArchive
{
    public const FORMAT = 'luftig-archive';

    public const VERSION = 1;

    private const JSON = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES
        | JSON_PRESERVE_ZERO_FRACTION | JSON_INVALID_UTF8_SUBSTITUTE;

    /** @return array<string, int> table → lines */
    public static function to(string $path): array
    {
        $folder = sys_get_temp_dir().'/luftig-archive-'.bin2hex(random_bytes(6));
        mkdir($folder, 0700) || throw new RuntimeException("The folder $folder cannot be made.");
        $zip = new ZipArchive;
        try {
            if ($zip->open("$path.new", ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
                throw new RuntimeException("The file $path cannot be written.");
            }
            $manifest = self::tables($folder, $zip);
            foreach (self::uploads() as $name => $file) {
                $zip->addFile($file, $name);
                $manifest['files'][$name] = hash_file('sha256', $file);
            }
            $zip->addFromString('schema.json', json_encode(self::schema(), self::JSON | JSON_PRETTY_PRINT)."\n");
            $zip->addFromString('manifest.json', json_encode([
                'format' => self::FORMAT, 'version' => self::VERSION, 'made_at' => now()->toIso8601ZuluString(),
                'base' => Tables::version(),
            ] + $manifest, self::JSON | JSON_PRETTY_PRINT)."\n");
            $zip->close() && rename("$path.new", $path) || throw new RuntimeException("$path cannot be written.");
        } finally {
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
            is_file("$path.new") && unlink("$path.new");
        }

        return array_map(fn (array $table): int => $table['lines'], $manifest['tables']);
    }

    /** @return array{tables: array<string, array{lines: int, sha256: string}>, files: array<string, string|false>} */
    private static function tables(string $folder, ZipArchive $zip): array
    {
        // A connection of its own: one moment for all tables, read line by line.
        $connection = 'archive';
        config(["database.connections.$connection" => config('database.connections.mariadb')]);
        $pdo = DB::connection($connection)->getPdo();
        $pdo->exec('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
        $pdo->exec('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
        $pdo->setAttribute(PDO::MYSQL_ATTR_USE_BUFFERED_QUERY, false);
        $tables = [];
        try {
            foreach (Tables::all() as $table => $columns) {
                $file = "$folder/$table.jsonl";
                $lines = self::table($pdo, $table, $columns, $file);
                $tables[$table] = ['lines' => $lines, 'sha256' => (string) hash_file('sha256', $file)];
                $zip->addFile($file, "tables/$table.jsonl");
            }
        } finally {
            DB::purge($connection);
        }

        return ['tables' => $tables, 'files' => []];
    }

    /** @param  array<string, string>  $columns */
    private static function table(PDO $pdo, string $table, array $columns, string $file): int
    {
        $names = '`'.implode('`, `', array_keys($columns)).'`';
        $rows = $pdo->query("SELECT $names FROM `$table` ORDER BY ".Tables::order($table, $columns))
            ?: throw new RuntimeException("$table cannot be read.");
        $out = fopen($file, 'wb') ?: throw new RuntimeException("$file cannot be written.");
        $lines = 0;
        while (is_array($row = $rows->fetch(PDO::FETCH_ASSOC))) {
            foreach ($columns as $name => $type) {
                $row[$name] = match (true) {
                    $row[$name] === null => null,
                    $type === 'base64' => base64_encode($row[$name]),
                    $type === 'integer' => (int) $row[$name],
                    $type === 'number' => (float) $row[$name],
                    default => (string) $row[$name],
                };
            }
            fwrite($out, json_encode($row, self::JSON)."\n");
            $lines++;
        }
        $rows->closeCursor();
        fclose($out);

        return $lines;
    }

    /** @return array<string, string> name in the archive → file */
    private static function uploads(): array
    {
        $files = [];
        $intakes = config()->string('luftig.intakes');
        foreach (glob("$intakes/*") ?: [] as $file) {
            if (is_file($file)) {
                $files['files/intakes/'.basename($file)] = $file;
            }
        }
        $own = storage_path('app/fingerprints.json');

        return $files + (is_file($own) ? ['files/fingerprints.json' => $own] : []);
    }

    /** @return array<string, mixed> a JSON Schema of the lines of each table */
    private static function schema(): array
    {
        $of = fn (string $type): array => $type === 'base64'
            ? ['type' => ['string', 'null'], 'contentEncoding' => 'base64'] : ['type' => [$type, 'null']];

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema', 'title' => 'The lines of each table',
            '$defs' => array_map(fn (array $columns): array => [
                'type' => 'object', 'additionalProperties' => false, 'required' => array_keys($columns),
                'properties' => array_map($of, $columns),
            ], Tables::all()),
        ];
    }
}
