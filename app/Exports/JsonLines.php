<?php

declare(strict_types=1);

namespace App\Exports;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** An object a line; the first line says which search found them. */
final class JsonLines implements ExportFormat
{
    private const AS_WRITTEN = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR
        | JSON_INVALID_UTF8_SUBSTITUTE;

    public function download(Export $export): StreamedResponse
    {
        return response()->streamDownload(function () use ($export): void {
            echo json_encode(['search' => $export->foundBy, 'found' => $export->found], self::AS_WRITTEN)."\n";
            foreach ($export->lines() as $line) {
                echo json_encode(array_combine($export->headings(), $line), self::AS_WRITTEN)."\n";
            }
        }, "{$export->name}.jsonl", ['Content-Type' => 'application/x-ndjson']);
    }
}
