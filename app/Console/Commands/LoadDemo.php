<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Intake\Gazetteer;
use App\Models\User;
use Database\Demo\Scenario;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class LoadDemo extends Command
{
    protected $signature = 'luftig:demo {--if-empty : Do nothing where there is data already}';

    protected $description = 'Fills an empty base with the demo data';

    public function handle(): int
    {
        if (! config('luftig.demo')) {
            Gazetteer::load();

            return self::SUCCESS;
        }
        if (User::query()->exists()) {
            $this->option('if-empty') || $this->warn('There is data already; ./luftig reset makes room.');

            return $this->option('if-empty') ? self::SUCCESS : self::FAILURE;
        }
        // All of it or nothing: the next start begins anew after an interruption.
        DB::transaction(fn () => (new Scenario)->load(fn (string $line) => $this->line($line)));

        return self::SUCCESS;
    }
}
