<?php

declare(strict_types=1);

namespace App\Exports;

use App\Support\Csv;
use Generator;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A table for a spreadsheet; its last line says which search found it. */
final class CsvFile implements ExportFormat
{
    public function download(Export $export): StreamedResponse
    {
        return Csv::download("{$export->name}.csv", $export->headings(), (function () use ($export): Generator {
            yield from $export->lines();
            if ($export->foundBy !== null) {
                yield ['found by', $export->foundBy];
            }
        })());
    }
}
