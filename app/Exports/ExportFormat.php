<?php

declare(strict_types=1);

namespace App\Exports;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** A format out: a class that writes it, and a line in ExportFormats. */
interface ExportFormat
{
    public function download(Export $export): StreamedResponse;
}
