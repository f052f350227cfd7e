<?php

declare(strict_types=1);

namespace App\Intake;

/** One record of a CSV file; cells are null where it could not be cut into cells, and why says why not. */
final readonly class CsvRecord
{
    /**
     * @param  list<string>|null  $cells
     * @param  int  $line  in the file, from 1
     * @param  int  $end  byte after the record, from where reading can go on
     */
    public function __construct(
        public ?array $cells,
        public string $text,
        public int $line,
        public int $end,
        public ?string $why = null,
    ) {
    }
}
