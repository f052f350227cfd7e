<?php

declare(strict_types=1);

namespace App\Support;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** CSV that a spreadsheet opens as it is meant: with a byte order mark, and no cell taken for a formula. */
final class Csv
{
    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows
     */
    public static function download(string $name, array $headings, iterable $rows): StreamedResponse
    {
        return response()->streamDownload(function () use ($headings, $rows): void {
            $out = fopen('php://output', 'wb');
            if ($out === false) {
                return;
            }
            fwrite($out, "\xEF\xBB\xBF");
            fputcsv($out, array_map(self::harmless(...), $headings), ';', '"', '');
            foreach ($rows as $row) {
                fputcsv($out, array_map(self::harmless(...), $row), ';', '"', '');
            }
            fclose($out);
        }, $name, ['Content-Type' => 'text/csv; charset=UTF-8']);
    }

    /** A spreadsheet would take a cell that begins so for a formula. */
    private static function harmless(string $cell): string
    {
        return preg_match('/^[=+\-@\t\r]/', $cell) === 1 ? "'".$cell : $cell;
    }
}
