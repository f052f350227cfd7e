<?php

declare(strict_types=1);

namespace App\Intake;

use App\Support\FileColumn;

/** What the rows of one kind of file mean, and how they become facts. */
interface RowReader
{
    /** @return array<string, FileColumn> by field */
    public static function columns(): array;

    /**
     * What one row says; what it leaves blank is absent, and so is what cannot be read.
     *
     * @return array<string, mixed>
     *
     * @throws RejectedRow where a record cannot do without what is missing
     */
    public function read(Cells $row): array;

    /**
     * What tells a record from the others of its file.
     *
     * @param  array<string, mixed>  $record
     */
    public function key(array $record): string;

    /**
     * Joins records to what is there, within the caller's transaction.
     *
     * @param  array<int, array<string, mixed>>  $records  by line, each key once, and each with is_later:
     *     whether its file told of the same before
     */
    public function store(array $records, Ledger $ledger): Tally;
}
