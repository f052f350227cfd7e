<?php

declare(strict_types=1);

namespace App\Exports;

/** The formats out, by the ending of their files. */
final class ExportFormats
{
    private const OF = [
        'csv' => CsvFile::class,
        'xlsx' => WorkbookFile::class,
        'jsonl' => JsonLines::class,
        'vcf' => ContactCards::class,
    ];

    /** @return list<string> */
    public static function endings(): array
    {
        return array_keys(self::OF);
    }

    public static function of(string $ending): ExportFormat
    {
        return new (self::OF[$ending]);
    }
}
