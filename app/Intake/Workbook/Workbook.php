<?php

declare(strict_types=1);

namespace App\Intake\Workbook;

use App\Intake\Limits;
use App\Intake\Mapping;
use App\Intake\UnreadableFile;
use Closure;
use Generator;

/**
 * A workbook, of which one sheet is rewritten as rows so that all that follows is the same as for CSV. Sheets are read
 * as streams.
 */
final class Workbook
{
    /** Rows of a sheet in which headings are looked for. */
    private const TOP = 20;

    /** Headings that are known, from which on a sheet is taken for one of records. */
    private const TELLING = 2;

    private readonly Sheets $sheets;

    /** @throws UnreadableFile */
    public function __construct(string $path)
    {
        $this->sheets = self::whole(function () use ($path): Sheets {
            $archive = Archive::open($path);
            $sheets = match (true) {
                $archive->has(OpenXml::PART) => new OpenXml($archive),
                $archive->has(OpenDocument::PART) => new OpenDocument($archive),
                default => throw UnreadableFile::archive(),
            };

            return $sheets->names() === [] ? throw UnreadableFile::archive() : $sheets;
        });
    }

    public static function is(string $path): bool
    {
        return file_get_contents($path, length: 4) === "PK\x03\x04";
    }

    /** @return list<string> */
    public function sheets(): array
    {
        return $this->sheets->names();
    }

    public function isFrom1904(): bool
    {
        return $this->sheets->isFrom1904();
    }

    /** The first sheet in which headings are known, else the first. */
    public function likely(): string
    {
        return self::whole($this->telling(...));
    }

    private function telling(): string
    {
        foreach ($this->sheets() as $sheet) {
            foreach ($this->sheets->rows($sheet) as $number => $row) {
                if ($number > self::TOP) {
                    break;
                }
                if (Mapping::known(array_values(array_filter($row))) >= self::TELLING) {
                    return $sheet;
                }
            }
        }

        return $this->sheets()[0];
    }

    /** Each line is the row of the same number: rows that are left out are empty lines. */
    public function asCsv(string $sheet, string $to): void
    {
        self::whole(fn () => $this->write($this->sheets->rows($sheet), $to));
    }

    /** @param  Generator<int, list<string>>  $rows */
    private function write(Generator $rows, string $to): void
    {
        $out = fopen($to, 'wb') ?: throw UnreadableFile::gone();
        $line = $width = 0;
        foreach ($rows as $number => $row) {
            if ($number > Limits::ROWS) {
                throw UnreadableFile::manyRows();
            }
            fwrite($out, str_repeat("\n", max(0, $number - $line - 1)));
            // A sheet leaves out empty cells at the end; the row has them all the same.
            $width = max($width, count($row));
            fputcsv($out, array_pad($row, $width, ''), ';', '"', '');
            $line = $number;
        }
        fclose($out);
    }

    /**
     * An archive that is damaged says so where it is read, and only as a warning.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    private static function whole(Closure $work): mixed
    {
        set_error_handler(fn () => throw UnreadableFile::archive());
        try {
            return $work();
        } finally {
            restore_error_handler();
        }
    }
}
