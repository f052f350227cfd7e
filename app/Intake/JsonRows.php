<?php

declare(strict_types=1);

namespace App\Intake;

use App\Support\Cell;

/** JSON Lines whose objects are rows, rewritten as CSV so that all that follows is the same. */
final class JsonRows
{
    /** What our own files of results begin with. */
    private const ABOUT = ['search', 'found'];

    public static function is(string $path): bool
    {
        $begins = ltrim((string) file_get_contents($path, length: 2), "\xEF\xBB\xBF \t\r\n");

        return str_starts_with($begins, '{');
    }

    /** @throws UnreadableFile */
    public static function asCsv(string $from, string $to): void
    {
        $columns = [];
        foreach (self::rows($from) as $row) {
            $columns += array_flip(array_map(strval(...), array_keys($row)));
            if (count($columns) > Limits::COLUMNS) {
                throw UnreadableFile::manyColumns(count($columns));
            }
        }
        $out = fopen($to, 'wb') ?: throw UnreadableFile::gone();
        fputcsv($out, array_keys($columns), ';', '"', '');
        foreach (self::rows($from) as $row) {
            $cells = array_map(Cell::of(...), array_replace(array_fill_keys(array_keys($columns), ''), $row));
            fputcsv($out, $cells, ';', '"', '');
        }
        fclose($out);
    }

    /** @return iterable<array<array-key, mixed>> */
    private static function rows(string $path): iterable
    {
        $file = fopen($path, 'rb') ?: throw UnreadableFile::gone();
        try {
            for ($line = 1; ($text = fgets($file, Limits::ROW)) !== false; $line++) {
                $text = trim($text, "\xEF\xBB\xBF \t\r\n");
                if ($text === '') {
                    continue;
                }
                $row = json_decode($text, true);
                if (! is_array($row) || $row !== [] && array_is_list($row)) {
                    throw UnreadableFile::line($line);
                }
                if (array_diff(array_keys($row), self::ABOUT) !== []) {
                    yield $row;
                }
            }
        } finally {
            fclose($file);
        }
    }
}
