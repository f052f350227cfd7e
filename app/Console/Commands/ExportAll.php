<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\WriteArchive;
use App\Support\Format;
use Illuminate\Console\Command;

final class ExportAll extends Command
{
    protected $signature = 'luftig:export {file : where the archive is written}';

    protected $description = 'Writes all that is the team’s own as one archive';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $lines = WriteArchive::to($file);
        activity()->log('everything exported');
        $this->line(Format::count(array_sum($lines), 'line').' of '.Format::count(count($lines), 'table')
            ." are in $file. Passwords, tokens and secrets of services are not.");

        return self::SUCCESS;
    }
}
