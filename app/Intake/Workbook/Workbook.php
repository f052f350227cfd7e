<?php

declare(strict_types=1);

namespace App\Intake\Workbook;

use App\Intake\Limits;
use App\Intake\Mapping;
use App\Intake\UnreadableFile;
use Closure;
use Generator;
use XMLReader;
use ZipArchive;

/**
 * A workbook (ECMA-376), of which one sheet is rewritten as rows so that all that follows is the same as for CSV.
 * Sheets are read as a stream; what all cells share is kept in memory, and may be only so large.
 */
final class Workbook
{
    /** Rows of a sheet in which headings are looked for. */
    private const TOP = 20;

    /** Headings that are known, from which on a sheet is taken for one of records. */
    private const TELLING = 2;

    /** @var array<string, string> name of a sheet → its part of the archive */
    private readonly array $parts;

    private readonly Cell $cell;

    /** @throws UnreadableFile */
    public function __construct(private readonly string $path)
    {
        [$this->parts, $this->cell] = self::whole($this->opened(...));
    }

    /**
     * @return array{array<string, string>, Cell}
     *
     * @throws UnreadableFile
     */
    private function opened(): array
    {
        $archive = new ZipArchive;
        $isOpen = $archive->open($this->path, ZipArchive::RDONLY) === true;
        if (! $isOpen || $archive->statName('xl/workbook.xml') === false) {
            throw UnreadableFile::archive();
        }
        for ($at = 0; $at < $archive->numFiles; $at++) {
            if (($archive->statIndex($at)['size'] ?? 0) > Limits::PART) {
                throw UnreadableFile::largeWorkbook();
            }
        }
        $targets = [];
        foreach ($this->elements('xl/_rels/workbook.xml.rels', 'Relationship') as $relation) {
            $target = (string) $relation->getAttribute('Target');
            $targets[(string) $relation->getAttribute('Id')] = ltrim(
                str_starts_with($target, '/') ? $target : "xl/$target",
                '/',
            );
        }
        $parts = [];
        foreach ($this->elements('xl/workbook.xml', 'sheet') as $sheet) {
            $part = $targets[(string) $sheet->getAttribute('r:id')] ?? '';
            if ($archive->statName($part) !== false) {
                $parts[(string) $sheet->getAttribute('name')] = $part;
            }
        }
        if ($parts === []) {
            throw UnreadableFile::archive();
        }
        $from1904 = false;
        foreach ($this->elements('xl/workbook.xml', 'workbookPr') as $about) {
            $from1904 = in_array($about->getAttribute('date1904'), ['1', 'true'], true);
        }
        $cell = new Cell($this->strings($archive), $this->formats($archive), $from1904);
        $archive->close();

        return [$parts, $cell];
    }

    public static function is(string $path): bool
    {
        return file_get_contents($path, length: 4) === "PK\x03\x04";
    }

    /** @return list<string> */
    public function sheets(): array
    {
        return array_map(strval(...), array_keys($this->parts));
    }

    public function isFrom1904(): bool
    {
        return $this->cell->from1904;
    }

    /** The first sheet in which headings are known, else the first. */
    public function likely(): string
    {
        return self::whole($this->telling(...));
    }

    private function telling(): string
    {
        foreach ($this->sheets() as $sheet) {
            foreach ($this->rows($sheet) as $number => $row) {
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
        self::whole(fn () => $this->write($sheet, $to));
    }

    private function write(string $sheet, string $to): void
    {
        $out = fopen($to, 'wb') ?: throw UnreadableFile::gone();
        $line = $width = 0;
        foreach ($this->rows($sheet) as $number => $row) {
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

    /** @return Generator<int, list<string>> by the number of the row, from 1 */
    private function rows(string $sheet): Generator
    {
        $reader = $this->open($this->parts[$sheet]);
        $number = 0;
        while ($reader->read()) {
            if ($reader->nodeType !== XMLReader::ELEMENT || $reader->localName !== 'row') {
                continue;
            }
            $number = max($number + 1, (int) $reader->getAttribute('r'));
            yield $number => $reader->isEmptyElement ? [] : $this->row($reader);
        }
        $reader->close();
    }

    /** @return list<string> */
    private function row(XMLReader $reader): array
    {
        $cells = [];
        $at = -1;
        while ($reader->read() && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->localName === 'row')) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'c') {
                $at = Cell::column((string) $reader->getAttribute('r')) ?? $at + 1;
                if ($at > Limits::COLUMNS) {
                    throw UnreadableFile::manyColumns($at + 1);
                }
                $cells[$at] = $this->cell->text($reader);
            }
        }

        return $cells === [] ? [] : array_map(
            fn (int $place): string => $cells[$place] ?? '',
            range(0, (int) max(array_keys($cells))),
        );
    }

    /** @return list<string> */
    private function strings(ZipArchive $archive): array
    {
        $part = 'xl/sharedStrings.xml';
        $size = $archive->statName($part)['size'] ?? 0;
        if ($size > Limits::STRINGS) {
            throw UnreadableFile::largeWorkbook();
        }
        $strings = [];
        foreach ($size === 0 ? [] : $this->elements($part, 'si') as $reader) {
            $strings[] = Cell::runs($reader);
        }

        return $strings;
    }

    /** @return list<string> the form of numbers of each style */
    private function formats(ZipArchive $archive): array
    {
        if ($archive->statName('xl/styles.xml') === false) {
            return [];
        }
        $own = $formats = [];
        foreach ($this->elements('xl/styles.xml', 'numFmt') as $format) {
            $own[(string) $format->getAttribute('numFmtId')] = (string) $format->getAttribute('formatCode');
        }
        foreach ($this->elements('xl/styles.xml', 'cellXfs') as $reader) {
            while ($reader->read() && $reader->localName !== 'cellXfs') {
                if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'xf') {
                    $id = (string) $reader->getAttribute('numFmtId');
                    $formats[] = $own[$id] ?? Cell::BUILT_IN[$id] ?? '';
                }
            }
        }

        return $formats;
    }

    /** @return Generator<int, XMLReader> at each element of a name */
    private function elements(string $part, string $name): Generator
    {
        $reader = $this->open($part);
        while ($reader->read()) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === $name) {
                yield $reader;
            }
        }
        $reader->close();
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

    private function open(string $part): XMLReader
    {
        $reader = XMLReader::open("zip://{$this->path}#$part", null, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING);

        return $reader instanceof XMLReader ? $reader : throw UnreadableFile::archive();
    }
}
