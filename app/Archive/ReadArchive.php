<?php

declare(strict_types=1);

namespace App\Archive;

use App\Finder\Indexes;
use App\Standings\Standings;
use App\Support\Gazetteer;
use App\Support\KeptPages;
use App\Support\KeyStatistics;
use App\Support\LogBook;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use ZipArchive;

/**
 * Brings an archive into a Luftig without accounts: all of it or nothing. Everybody gets a password that nobody knows,
 * and secrets of services are empty; what is derived is computed anew.
 */
final class ReadArchive
{
    private const CHUNK = 500;

    /** More is no line of ours. */
    private const LONGEST = 64_000_000;

    /**
     * @return array<string, int> table → lines
     *
     * @throws NotAnArchive with nothing changed
     */
    public static function from(string $path): array
    {
        $zip = new ZipArchive;
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new NotAnArchive("$path is no archive that can be opened.");
        }
        try {
            $manifest = self::manifest($zip);
            self::mayComeIn();
            DB::transaction(function () use ($zip, $manifest): void {
                DB::statement('SET FOREIGN_KEY_CHECKS = 0');
                try {
                    foreach (Tables::all() as $table => $columns) {
                        self::table($zip, $table, $columns, $manifest['tables'][$table]);
                    }
                } finally {
                    DB::statement('SET FOREIGN_KEY_CHECKS = 1');
                }
            });
            self::uploads($zip, $manifest['files']);
        } finally {
            $zip->close();
        }
        Gazetteer::load();
        Cache::flush();
        KeptPages::forget();
        (new Standings)->all();
        Indexes::forget();
        KeyStatistics::refresh();

        return array_map(fn (array $table): int => $table['lines'], $manifest['tables']);
    }

    /** @return array{tables: array<string, array{lines: int, sha256: string}>, files: array<string, string>} */
    private static function manifest(ZipArchive $zip): array
    {
        $text = $zip->getFromName('manifest.json');
        $manifest = $text === false ? null : json_decode($text, true);
        if (! is_array($manifest) || ($manifest['format'] ?? null) !== WriteArchive::FORMAT) {
            throw new NotAnArchive('It has no manifest that Luftig has written.');
        }
        if ([$manifest['version'] ?? null, $manifest['base'] ?? ''] !== [WriteArchive::VERSION, Tables::version()]) {
            throw new NotAnArchive('It was written by another version of Luftig; bring both to the same one first.');
        }
        $tables = [];
        foreach (array_keys(Tables::all()) as $table) {
            $one = $manifest['tables'][$table] ?? null;
            if (! is_array($one) || ! is_int($one['lines'] ?? null) || ! is_string($one['sha256'] ?? null)) {
                throw new NotAnArchive("Its manifest says nothing of $table.");
            }
            $stream = $zip->getStream("tables/$table.jsonl");
            $sum = hash_init('sha256');
            if ($stream === false || hash_update_stream($sum, $stream) < 0 || hash_final($sum) !== $one['sha256']) {
                throw new NotAnArchive("Of $table not all is there, or it was changed.");
            }
            $tables[$table] = ['lines' => $one['lines'], 'sha256' => $one['sha256']];
        }

        return ['tables' => $tables, 'files' => array_filter((array) ($manifest['files'] ?? []), is_string(...))];
    }

    private static function mayComeIn(): void
    {
        foreach (['accounts', 'contacts', 'approaches'] as $table) {
            if (DB::table($table)->exists()) {
                throw new NotAnArchive("There are $table here already; an archive comes into an empty Luftig "
                    .'(./luftig reset, then ./luftig start --empty).');
            }
        }
    }

    /**
     * @param  array<string, string>  $columns
     * @param  array{lines: int, sha256: string}  $said
     */
    private static function table(ZipArchive $zip, string $table, array $columns, array $said): void
    {
        LogBook::whileErasing(fn (): int => DB::table($table)->delete());
        $stream = $zip->getStream("tables/$table.jsonl");
        if ($stream === false) {
            throw new NotAnArchive("$table cannot be read.");
        }
        $rows = [];
        $lines = 0;
        // Nobody knows it: who is to sign in gets a new one.
        $nobodys = $table === 'users' ? ['password' => Hash::make(Str::random(60))] : [];
        while (($line = stream_get_line($stream, self::LONGEST, "\n")) !== false) {
            $row = json_decode($line, true);
            if (! is_array($row) || array_keys($row) !== array_keys($columns)) {
                throw new NotAnArchive("A line of $table is not as its schema says (line ".($lines + 1).').');
            }
            foreach ($columns as $name => $type) {
                $row[$name] = $type === 'base64' && is_string($row[$name])
                    ? base64_decode($row[$name], true) : $row[$name];
            }
            $rows[] = $row + $nobodys;
            $lines++;
            if (count($rows) === self::CHUNK) {
                DB::table($table)->insert($rows);
                $rows = [];
            }
        }
        DB::table($table)->insert($rows);
        if ($lines !== $said['lines']) {
            throw new NotAnArchive("Of $table there are $lines lines, and the manifest says {$said['lines']}.");
        }
    }

    /** @param  array<string, string>  $files  name in the archive → sum */
    private static function uploads(ZipArchive $zip, array $files): void
    {
        foreach ($files as $name => $sum) {
            // Only where we would have put it.
            $to = match (true) {
                preg_match('#^files/intakes/[\w.-]+$#', $name) === 1 => config()->string('luftig.intakes').'/'
                    .basename($name),
                $name === 'files/fingerprints.json' => storage_path('app/fingerprints.json'),
                default => throw new NotAnArchive("$name is no file of an archive."),
            };
            $text = $zip->getFromName($name);
            if ($text === false || hash('sha256', $text) !== $sum) {
                throw new NotAnArchive("$name is not as it was written.");
            }
            is_dir(dirname($to)) || mkdir(dirname($to), 0775, true);
            file_put_contents($to, $text);
        }
    }
}
