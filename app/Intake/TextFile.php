<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\Row;
use Generator;

/** Finds out how a file is written, and rewrites it as UTF-8 so that everything after reads one encoding only. */
final readonly class TextFile
{
    /** Byte order marks. */
    private const LITTLE = "\xFF\xFE";

    private const BIG = "\xFE\xFF";

    private const SAMPLE = 65536;

    /** Among so many lines at the top are the headings. */
    private const TOP = 12;

    /** So many recognised headings make a line of headings. */
    private const TELLING = 2;

    /** Of a text at most this part is characters that nobody can see. */
    private const UNSEEN = .05;

    /**
     * @param  list<string>  $columns
     * @param  int  $headingsLine  in which these stand, from 1
     */
    private function __construct(
        public string $encoding,
        public string $delimiter,
        public array $columns,
        public int $headingsLine,
    ) {
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

        $sample = (string) file_get_contents($to, length: self::SAMPLE);
        $stated = preg_match('/\A\s*"?sep=(.)"?\s*\R/i', $sample, $sep) === 1 ? $sep[1] : null;
        $delimiter = $stated ?? self::delimiter($sample);
        $top = self::top($to, $delimiter);
        if ($stated !== null) {
            unset($top[1]);
        }
        $line = self::headingsLine($top);
        $record = $top[$line] ?? throw UnreadableFile::empty();
        if ($record->cells === null) {
            throw UnreadableFile::heading((string) $record->why);
        }
        $columns = Row::of($record->cells)->cells;
        if (count($columns) > Limits::COLUMNS) {
            throw UnreadableFile::manyColumns(count($columns));
        }
        // A list of addresses or pages is one; a text that is no table has no heading that is known.
        if (count($columns) === 1 && Mapping::known($columns) === 0) {
            throw UnreadableFile::oneColumn();
        }
        foreach ((new CsvRecords($to, $delimiter))->from($record->end, $line) as $row) {
            return new self($encoding, $delimiter, $columns, $line);
        }
        throw UnreadableFile::noRows();
    }

    /** @return Generator<int, CsvRecord> the rows under the headings */
    public function records(string $path): Generator
    {
        foreach ((new CsvRecords($path, $this->delimiter))->from(0) as $record) {
            if ($record->line > $this->headingsLine) {
                yield $record;
            }
        }
    }

    /** @return array<int, CsvRecord> by line, the first of the file */
    private static function top(string $path, string $delimiter): array
    {
        $top = [];
        foreach ((new CsvRecords($path, $delimiter))->from(0) as $record) {
            $top[$record->line] = $record;
            if (count($top) === self::TOP) {
                break;
            }
        }

        return $top;
    }

    /**
     * Titles may stand above the headings: the first line counts in which several headings are known, else the first
     * with more than one cell.
     *
     * @param  array<int, CsvRecord>  $top
     */
    private static function headingsLine(array $top): int
    {
        $first = null;
        foreach ($top as $line => $record) {
            $cells = array_filter($record->cells ?? [], fn (string $cell): bool => trim($cell) !== '');
            if (count($cells) > 1 || $record->cells === null) {
                $first ??= $line;
            }
            if (Mapping::known(array_values($cells)) >= self::TELLING) {
                return $line;
            }
        }

        return $first ?? (int) array_key_first($top);
    }

    private static function encoding(string $sample, string $path): string
    {
        if (trim($sample, "\0\r\n\t \xEF\xBB\xBF") === '') {
            throw UnreadableFile::empty();
        }
        if (str_starts_with($sample, "\xD0\xCF\x11\xE0")) {
            throw UnreadableFile::workbook();
        }
        $mark = substr($sample, 0, 2);
        if ($mark === self::LITTLE || $mark === self::BIG) {
            return $mark === self::LITTLE ? 'UTF-16LE' : 'UTF-16BE';
        }
        $length = strlen($sample);
        if (substr_count($sample, "\0") > $length / 4) {
            // Without a byte order mark: in Western text the zero bytes say which half of each pair is which.
            return $sample[1] === "\0" ? 'UTF-16LE' : 'UTF-16BE';
        }
        if (preg_match('/\A(?:%PDF|\x89PNG|GIF8|\xFF\xD8\xFF|\x1F\x8B|\x7FELF)/', $sample) === 1
            || preg_match_all('/[\x00-\x08\x0E-\x1A\x1C-\x1F]/', $sample) > self::UNSEEN * $length) {
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
            $whole = preg_match('/[\xC2-\xF4][\x80-\xBF]{0,2}\z/', $rest, $cut) === 1
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
        if (! str_starts_with($encoding, 'UTF-16') || ! in_array(fread($in, 2), [self::LITTLE, self::BIG], true)) {
            rewind($in);
        }
        set_error_handler(static fn (): bool => throw UnreadableFile::encoding($encoding));
        try {
            if ($encoding !== 'UTF-8') {
                // What is in its buffer already is converted at once.
                stream_filter_append(
                    $in,
                    'convert.iconv.'.($encoding === 'Windows-1252' ? 'CP1252' : $encoding).'/UTF-8//IGNORE',
                );
            } elseif (fread($in, 3) !== "\xEF\xBB\xBF") {
                rewind($in);
            }
            self::copy($in, $out);
        } finally {
            restore_error_handler();
            fclose($in);
            fclose($out);
        }
    }

    /**
     * With a line feed at the end of each line, also where old systems wrote a carriage return only.
     *
     * @param  resource  $in
     * @param  resource  $out
     */
    private static function copy($in, $out): void
    {
        $held = '';
        while (! feof($in)) {
            $text = $held.fread($in, 1 << 20);
            // What follows decides what a carriage return at the end is.
            $held = str_ends_with($text, "\r") && ! feof($in) ? "\r" : '';
            $text = $held === '' ? $text : substr($text, 0, -1);
            fwrite($out, (string) preg_replace('/\r(?!\n)/', "\n", $text));
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

    /** What parts the cells of most lines, and of each as many. */
    private static function delimiter(string $sample): string
    {
        $lines = array_filter(
            array_slice(preg_split('/\R/', (string) preg_replace('/"[^"]*"/', '', $sample)) ?: [], 0, 2 * self::TOP),
            fn (string $line): bool => trim($line) !== '',
        );
        $counts = [];
        foreach (["\t", ';', ','] as $delimiter) {
            $each = array_map(fn (string $line): int => substr_count($line, $delimiter), $lines);
            sort($each);
            $counts[$delimiter] = $each[intdiv(count($each), 2)] ?? 0;
        }
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
