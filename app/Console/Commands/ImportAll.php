<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\NotAnArchive;
use App\Archive\ReadArchive;
use App\Support\Format;
use Illuminate\Console\Command;

final class ImportAll extends Command
{
    protected $signature = 'luftig:import {file : an archive that was exported}';

    protected $description = 'Brings an archive into an empty base';

    public function handle(): int
    {
        try {
            $lines = ReadArchive::from((string) $this->argument('file'));
        } catch (NotAnArchive $e) {
            $this->error($e->getMessage().' Nothing was changed.');

            return self::FAILURE;
        }
        $this->line(Format::count(array_sum($lines), 'line').' of '.Format::count(count($lines), 'table').' are in. '
            .'Give whoever signs in a password with ./luftig password ADDRESS; secrets of services are typed anew.');

        return self::SUCCESS;
    }
}
