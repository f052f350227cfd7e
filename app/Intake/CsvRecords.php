<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use Generator;

/** Reads a CSV file (RFC 4180, UTF-8) record by record, from any record on, in bounded memory. */
final readonly class CsvRecords
{
    /** So much is kept of a row that cannot be read. */
    private const KEPT = 2_000;

    /** So many lines a cell may have. */
    private const JOINED = 1_000;

    public function __construct(private string $path, public string $delimiter)
    {
    }

    /**
     * What stands under the headings of a file that was received.
     *
     * @param  int  $offset  byte at which a record begins
     * @param  int  $line  the number of lines before it
     * @return Generator<int, CsvRecord>
     */
    public static function ofRows(Intake $intake, int $offset = 0, int $line = 0): Generator
    {
        // A model reads its format anew each time it is asked.
        $format = $intake->format;
        $headingsLine = $format['headings_line'] ?? 1;
        foreach ((new self(Importer::path($intake), $format['delimiter']))->from($offset, $line) as $record) {
            if ($record->line > $headingsLine) {
                yield $record;
            }
        }
    }

    /**
     * @param  int  $offset  byte at which a record begins
     * @param  int  $line  the number of lines before it
     * @return Generator<int, CsvRecord> empty lines left out
     */
    public function from(int $offset, int $line = 0): Generator
    {
        $file = @fopen($this->path, 'rb') ?: throw UnreadableFile::gone();
        fseek($file, $offset);
        while (($text = fgets($file, Limits::ROW + 1)) !== false) {
            $line++;
            $first = $line;
            $offset += strlen($text);
            if (strlen($text) === Limits::ROW && ! str_ends_with($text, "\n")) {
                $offset += self::skipLine($file);
                yield self::unread($text, $first, $offset, 'This row is longer than 1 MB; it was not read.');

                continue;
            }
            if ($this->isOpen($text)) {
                [$whole, $lines] = $this->close($file, $text);
                if ($whole === null) {
                    fseek($file, $offset);
                    yield self::unread(
                        $text,
                        $first,
                        $offset,
                        'A quote opens in this row and is not closed; the file may have been cut here.',
                    );

                    continue;
                }
                $offset += strlen($whole) - strlen($text);
                $text = $whole;
                $line += $lines;
            }
            $text = rtrim($text, "\r\n");
            if (trim($text, " \t,;\x1A") === '') {
                continue;
            }
            if (substr_count($text, $this->delimiter) >= Limits::CELLS) {
                yield self::unread($text, $first, $offset, 'This row has more than '.number_format(Limits::CELLS)
                    .' cells; it was not read.');

                continue;
            }
            /** @var list<string> $cells */
            $cells = str_getcsv($text, $this->delimiter, '"', '');
            yield new CsvRecord($cells, $text, $first, $offset);
        }
        fclose($file);
    }

    private static function unread(string $text, int $line, int $end, string $why): CsvRecord
    {
        return new CsvRecord(null, mb_strcut(rtrim($text, "\r\n"), 0, self::KEPT), $line, $end, $why);
    }

    /**
     * @param  resource  $file
     * @return int bytes up to the end of the line
     */
    private static function skipLine($file): int
    {
        for ($bytes = 0; ($more = fgets($file, Limits::ROW)) !== false;) {
            $bytes += strlen($more);
            if (str_ends_with($more, "\n")) {
                break;
            }
        }

        return $bytes;
    }

    /**
     * The lines that a quoted line break joins to one record.
     *
     * @param  resource  $file
     * @return array{string|null, int} null where no closing quote is near
     */
    private function close($file, string $text): array
    {
        for (
            $lines = 0; $lines < self::JOINED && strlen($text) < Limits::ROW
            && ($more = fgets($file, Limits::ROW)) !== false;
        ) {
            $lines++;
            $text .= $more;
            if (str_contains($more, '"') && ! $this->isOpen($text)) {
                return [$text, $lines];
            }
        }

        return [null, 0];
    }

    /** Whether a quote that begins a cell is not closed by its end; within a cell it is a sign like others. */
    private function isOpen(string $text): bool
    {
        if (! str_contains($text, '"')) {
            return false;
        }
        $cell = '(?:\s*"(?:[^"]|"")*"[^'.preg_quote($this->delimiter, '/').'\r\n]*|(?!\s*")[^'
            .preg_quote($this->delimiter, '/').'\r\n]*)';

        return preg_match('/\A'.$cell.'(?:'.preg_quote($this->delimiter, '/').$cell.')*+\r?\n?\z/', $text) !== 1;
    }
}
