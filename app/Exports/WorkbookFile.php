<?php

declare(strict_types=1);

namespace App\Exports;

use RuntimeException;
use Symfony\Component\HttpFoundation\StreamedResponse;
use ZipArchive;

/**
 * A workbook as spreadsheets open it (Office Open XML, ECMA-376), written row by row. Texts stand as texts, so that no
 * cell becomes a formula; what is a number is one, but for codes that begin with a zero. A full sheet goes on in the
 * next.
 */
final class WorkbookFile implements ExportFormat
{
    /** Rows of a sheet, and characters of a cell, that spreadsheets take. */
    private const ROWS = 1_048_576;

    private const LONGEST = 32_767;

    private const NUMBER = '/^-?(?:0|[1-9]\d{0,14})(?:\.\d{1,15})?$/';

    /** What XML 1.0 cannot hold. */
    private const UNSEEN = '/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u';

    private const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

    private const RELATIONS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    private const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';

    private const HEAD = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';

    public function __construct(private readonly int $rows = self::ROWS)
    {
    }

    public function download(Export $export): StreamedResponse
    {
        return response()->streamDownload(function () use ($export): void {
            $path = (string) tempnam(sys_get_temp_dir(), 'luftig-out-');
            try {
                $this->write($path, $export->headings(), $export->lines());
                readfile($path);
            } finally {
                @unlink($path);
            }
        }, "{$export->name}.xlsx", [
            'Content-Type' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        ]);
    }

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $lines
     */
    public function write(string $path, array $headings, iterable $lines): void
    {
        $sheets = $this->sheets($headings, $lines);
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("The workbook $path cannot be written.");
        }
        foreach (self::parts(count($sheets)) as $name => $text) {
            $zip->addFromString($name, self::HEAD.$text);
        }
        foreach ($sheets as $i => $sheet) {
            $zip->addFile($sheet, 'xl/worksheets/sheet'.($i + 1).'.xml');
        }
        $zip->close();
        array_map(unlink(...), $sheets);
    }

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $lines
     * @return list<string> files, each a sheet
     */
    private function sheets(array $headings, iterable $lines): array
    {
        [$file, $sheets] = self::open([]);
        fwrite($file, self::row($row = 1, $headings));
        foreach ($lines as $line) {
            if ($row === $this->rows) {
                self::close($file);
                [$file, $sheets] = self::open($sheets);
                fwrite($file, self::row($row = 1, $headings));
            }
            fwrite($file, self::row(++$row, $line));
        }
        self::close($file);

        return $sheets;
    }

    /**
     * @param  list<string>  $sheets
     * @return array{resource, list<string>} a new sheet, and all of them
     */
    private static function open(array $sheets): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'luftig-sheet-');
        $file = fopen($path, 'wb') ?: throw new RuntimeException("$path cannot be written.");
        fwrite($file, self::HEAD.'<worksheet xmlns="'.self::MAIN.'"><sheetData>');

        return [$file, [...$sheets, $path]];
    }

    /** @param  resource  $file */
    private static function close($file): void
    {
        fwrite($file, '</sheetData></worksheet>');
        fclose($file);
    }

    /** @param  list<string>  $line */
    private static function row(int $number, array $line): string
    {
        $cells = '';
        foreach ($line as $i => $value) {
            if ($value === '') {
                continue;
            }
            $at = self::column($i).$number;
            $cells .= preg_match(self::NUMBER, $value) === 1 ? "<c r=\"$at\"><v>$value</v></c>"
                : "<c r=\"$at\" t=\"inlineStr\"><is><t xml:space=\"preserve\">".self::text($value).'</t></is></c>';
        }

        return "<row r=\"$number\">$cells</row>";
    }

    private static function text(string $value): string
    {
        $clean = (string) preg_replace(self::UNSEEN, '', mb_scrub(mb_substr($value, 0, self::LONGEST)));

        return htmlspecialchars($clean, ENT_QUOTES | ENT_XML1, 'UTF-8');
    }

    /** A, B … Z, AA … */
    private static function column(int $i): string
    {
        return ($i >= 26 ? self::column(intdiv($i, 26) - 1) : '').chr(65 + $i % 26);
    }

    /** @return array<string, string> what a workbook is made of, beside its sheets */
    private static function parts(int $sheets): array
    {
        $types = $listed = $relations = '';
        for ($n = 1; $n <= $sheets; $n++) {
            $types .= "<Override PartName=\"/xl/worksheets/sheet$n.xml\" ContentType=\"application/vnd.openxmlformats-"
                .'officedocument.spreadsheetml.worksheet+xml"/>';
            $listed .= '<sheet name="'.($n === 1 ? 'Luftig' : "Luftig $n")."\" sheetId=\"$n\" r:id=\"rId$n\"/>";
            $relations .= "<Relationship Id=\"rId$n\" Type=\"".self::RELATIONS.'/worksheet" Target="worksheets/sheet'
                ."$n.xml\"/>";
        }

        return [
            '[Content_Types].xml' => '<Types xmlns="'.self::PACKAGE.'/content-types"><Default Extension="rels" '
                .'ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" '
                .'ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.'
                ."openxmlformats-officedocument.spreadsheetml.sheet.main+xml\"/>$types</Types>",
            '_rels/.rels' => '<Relationships xmlns="'.self::PACKAGE.'/relationships"><Relationship Id="rId1" Type="'
                .self::RELATIONS.'/officeDocument" Target="xl/workbook.xml"/></Relationships>',
            'xl/workbook.xml' => '<workbook xmlns="'.self::MAIN.'" xmlns:r="'.self::RELATIONS
                ."\"><sheets>$listed</sheets></workbook>",
            'xl/_rels/workbook.xml.rels' => '<Relationships xmlns="'.self::PACKAGE."/relationships\">$relations"
                .'</Relationships>',
        ];
    }
}
