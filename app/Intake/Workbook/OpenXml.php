<?php

declare(strict_types=1);

namespace App\Intake\Workbook;

use App\Intake\Limits;
use App\Intake\UnreadableFile;
use Generator;
use XMLReader;

/** Sheets of Office Open XML (ECMA-376). What all cells share is kept in memory, and may be only so large. */
final readonly class OpenXml implements Sheets
{
    public const PART = 'xl/workbook.xml';

    /** @var array<string, string> name of a sheet → its part of the archive */
    private array $parts;

    private Cell $cell;

    /** @throws UnreadableFile */
    public function __construct(private Archive $archive)
    {
        $targets = [];
        foreach ($archive->elements('xl/_rels/workbook.xml.rels', 'Relationship') as $relation) {
            $target = (string) $relation->getAttribute('Target');
            $targets[(string) $relation->getAttribute('Id')] = ltrim(
                str_starts_with($target, '/') ? $target : "xl/$target",
                '/',
            );
        }
        $parts = [];
        foreach ($archive->elements(self::PART, 'sheet') as $sheet) {
            $part = $targets[(string) $sheet->getAttribute('r:id')] ?? '';
            if ($archive->has($part)) {
                $parts[(string) $sheet->getAttribute('name')] = $part;
            }
        }
        $from1904 = false;
        foreach ($archive->elements(self::PART, 'workbookPr') as $about) {
            $from1904 = in_array($about->getAttribute('date1904'), ['1', 'true'], true);
        }
        $this->parts = $parts;
        $this->cell = new Cell($this->strings(), $this->formats(), $from1904);
    }

    public function names(): array
    {
        return array_map(strval(...), array_keys($this->parts));
    }

    public function isFrom1904(): bool
    {
        return $this->cell->from1904;
    }

    public function rows(string $sheet): Generator
    {
        $number = 0;
        foreach ($this->archive->elements($this->parts[$sheet], 'row') as $reader) {
            $number = max($number + 1, (int) $reader->getAttribute('r'));
            yield $number => $reader->isEmptyElement ? [] : $this->row($reader);
        }
    }

    /** @return list<string> */
    private function row(XMLReader $reader): array
    {
        $cells = [];
        $at = -1;
        while ($reader->read() && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->localName === 'row')) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'c') {
                $at = Cell::column((string) $reader->getAttribute('r')) ?? $at + 1;
                if ($at >= Limits::COLUMNS) {
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
    private function strings(): array
    {
        $part = 'xl/sharedStrings.xml';
        $size = $this->archive->size($part);
        if ($size > Limits::STRINGS) {
            throw UnreadableFile::largeWorkbook();
        }
        $strings = [];
        foreach ($size === 0 ? [] : $this->archive->elements($part, 'si') as $reader) {
            $strings[] = Cell::runs($reader);
        }

        return $strings;
    }

    /** @return list<string> the form of numbers of each style */
    private function formats(): array
    {
        if (! $this->archive->has('xl/styles.xml')) {
            return [];
        }
        $own = $formats = [];
        foreach ($this->archive->elements('xl/styles.xml', 'numFmt') as $format) {
            $own[(string) $format->getAttribute('numFmtId')] = (string) $format->getAttribute('formatCode');
        }
        foreach ($this->archive->elements('xl/styles.xml', 'cellXfs') as $reader) {
            while ($reader->read() && $reader->localName !== 'cellXfs') {
                if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'xf') {
                    $id = (string) $reader->getAttribute('numFmtId');
                    $formats[] = $own[$id] ?? Cell::BUILT_IN[$id] ?? '';
                }
            }
        }

        return $formats;
    }
}
