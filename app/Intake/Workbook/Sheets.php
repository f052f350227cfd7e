<?php

declare(strict_types=1);

namespace App\Intake\Workbook;

use App\Intake\UnreadableFile;
use Generator;

/** The sheets of a workbook, whatever it was written by. */
interface Sheets
{
    /** @return list<string> */
    public function names(): array;

    /**
     * @return Generator<int, list<string>> cells as they are shown, by the number of the row, from 1; rows without any
     *     may be left out
     *
     * @throws UnreadableFile
     */
    public function rows(string $sheet): Generator;

    /** Whether days are counted from 1904. */
    public function isFrom1904(): bool;
}
