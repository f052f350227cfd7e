<?php

declare(strict_types=1);

namespace App\Exports;

use App\Support\Csv;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A table for a spreadsheet, of records and nothing else; the file's name says which search found them. */
final class CsvFile implements ExportFormat
{
    public function download(Export $export): StreamedResponse
    {
        return Csv::download("{$export->name}.csv", $export->headings(), $export->lines());
    }
}
