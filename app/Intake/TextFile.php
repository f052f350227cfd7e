<?php

declare(strict_types=1);

namespace App\Intake;

/** Finds out how a file is written, and rewrites it as UTF-8 so that everything after reads one encoding only. */
final readonly class TextFile
{
    private const SAMPLE = 65536;

    /** @param  list<string>  $columns */
    private function __construct(public string $encoding, public string $delimiter, public array $columns)
    {
    }

    /**
     * @param  string  $from  path of what was brought
     * @param  string  $to  path for the copy in UTF-8
     *
     * @throws UnreadableFile
     */
    public static function take(string $from, string $to): self
    {
        $sample = (string) file_get_contents($from, length: self::SAMPLE);
        $encoding = self::encoding($sample, $from);
        self::convert($from, $to, $encoding);
        self::countRows($to);

        $records = new CsvRecords($to, self::delimiter((string) file_get_contents($to, length: self::SAMPLE)));
        $columns = null;
        foreach ($records->from(0) as $record) {
            if ($columns !== null) {
                return new self($encoding, $records->delimiter, $columns);
            }
            if ($record->cells === null) {
                throw UnreadableFile::heading((string) $record->why);
            }
            $columns = array_map(trim(...), $record->cells);
            if (count($columns) > Limits::COLUMNS) {
                throw UnreadableFile::manyColumns(count($columns));
            }
            if (count($columns) < 2) {
                throw UnreadableFile::oneColumn();
            }
        }
        throw $columns === null ? UnreadableFile::empty() : UnreadableFile::noRows();
    }

    private static function encoding(string $sample, string $path): string
    {
        if (trim($sample, "\0\r\n\t \xEF\xBB\xBF") === '') {
            throw UnreadableFile::empty();
        }
        if (str_starts_with($sample, "PK\x03\x04") || str_starts_with($sample, "\xD0\xCF\x11\xE0")) {
            throw UnreadableFile::workbook();
        }
        if (str_starts_with($sample, "\xFF\xFE") || str_starts_with($sample, "\xFE\xFF")) {
            return 'UTF-16';
        }
        $length = strlen($sample);
        if (substr_count($sample, "\0") > $length / 4) {
            // Without a byte order mark: in Western text the zero bytes say which half of each pair is which.
            return $sample[1] === "\0" ? 'UTF-16LE' : 'UTF-16BE';
        }
        if (preg_match('/[\x00-\x08\x0E-\x1A\x1C-\x1F]/', $sample) === 1) {
            throw UnreadableFile::binary();
        }

        return self::isUtf8($path) ? 'UTF-8' : 'Windows-1252';
    }

    private static function isUtf8(string $path): bool
    {
        $file = fopen($path, 'rb') ?: throw UnreadableFile::gone();
        $rest = '';
        while (! feof($file)) {
            $rest .= fread($file, 1 << 20);
            // A character may be cut at the end of what was read.
            $whole = preg_match('/[\xC2-\xF4][\x80-\xBF]{0,2}$/', $rest, $cut) === 1
                ? substr($rest, 0, -strlen($cut[0]))
                : $rest;
            if (! mb_check_encoding($whole, 'UTF-8')) {
                return false;
            }
            $rest = substr($rest, strlen($whole));
        }

        return mb_check_encoding($rest, 'UTF-8');
    }

    private static function convert(string $from, string $to, string $encoding): void
    {
        $in = fopen($from, 'rb') ?: throw UnreadableFile::gone();
        $out = fopen($to, 'wb') ?: throw UnreadableFile::gone();
        if ($encoding !== 'UTF-8') {
            stream_filter_append(
                $in,
                'convert.iconv.'.($encoding === 'Windows-1252' ? 'CP1252' : $encoding).'/UTF-8//IGNORE',
            );
        } elseif (fread($in, 3) !== "\xEF\xBB\xBF") {
            rewind($in);
        }
        set_error_handler(static fn (): bool => throw UnreadableFile::encoding($encoding));
        try {
            stream_copy_to_stream($in, $out);
        } finally {
            restore_error_handler();
            fclose($in);
            fclose($out);
        }
    }

    private static function countRows(string $path): void
    {
        $file = fopen($path, 'rb') ?: throw UnreadableFile::gone();
        for ($lines = 0; ! feof($file);) {
            $lines += substr_count((string) fread($file, 1 << 20), "\n");
            if ($lines > Limits::ROWS) {
                fclose($file);
                throw UnreadableFile::manyRows();
            }
        }
        fclose($file);
    }

    private static function delimiter(string $sample): string
    {
        $header = (string) preg_replace('/"[^"]*"/', '', explode("\n", str_replace("\r", "\n", ltrim($sample)), 2)[0]);
        $counts = ["\t" => substr_count($header, "\t"), ';' => substr_count($header, ';'), ',' => substr_count(
            $header,
            ',',
        )];
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
