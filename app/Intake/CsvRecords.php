<?php

declare(strict_types=1);

namespace App\Intake;

use Generator;

/** Reads a CSV file (RFC 4180, UTF-8) record by record, from any record on, in bounded memory. */
final readonly class CsvRecords
{
    private const MAX_BYTES = 1 << 20;

    public function __construct(private string $path, public string $delimiter)
    {
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
        while (($text = fgets($file)) !== false) {
            $line++;
            $first = $line;
            $offset += strlen($text);
            if (substr_count($text, '"') % 2 === 1) {
                [$whole, $lines] = $this->close($file, $text);
                if ($whole === null) {
                    fseek($file, $offset);
                    if (preg_match('/(?:^|'.preg_quote($this->delimiter, '/').')\s*"/', $text)) {
                        yield new CsvRecord(null, rtrim($text, "\r\n"), $first, $offset);

                        continue;
                    }
                } else {
                    $offset += strlen($whole) - strlen($text);
                    $text = $whole;
                    $line += $lines;
                }
            }
            $text = rtrim($text, "\r\n");
            if (trim($text, " \t,;\x1A") === '') {
                continue;
            }
            /** @var list<string> $cells */
            $cells = str_getcsv($text, $this->delimiter, '"', '');
            yield new CsvRecord($cells, $text, $first, $offset);
        }
        fclose($file);
    }

    /**
     * The lines that a quoted line break joins to one record.
     *
     * @param  resource  $file
     * @return array{string|null, int} null where no closing quote is near
     */
    private function close($file, string $text): array
    {
        for ($lines = 0; strlen($text) < self::MAX_BYTES && ($more = fgets($file)) !== false;) {
            $lines++;
            $text .= $more;
            if (substr_count($more, '"') % 2 === 1) {
                return [$text, $lines];
            }
        }

        return [null, 0];
    }
}
