<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Standings\Standings;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

final class SetClock extends Command
{
    protected $signature = 'luftig:clock {time? : As in 2026-11-30T09:00Z; without one the clock runs again}';

    protected $description = 'Makes time stand still for tests and pictures, and ages the standings to it';

    public function handle(Standings $standings): int
    {
        if (app()->isProduction()) {
            $this->error('Time is not to be changed in production.');

            return self::FAILURE;
        }
        $time = $this->argument('time');
        Clock::set(is_string($time) ? CarbonImmutable::parse($time, 'UTC') : null);
        $standings->all();
        $this->line('It is '.CarbonImmutable::now()->toDayDateTimeString().' now.');

        return self::SUCCESS;
    }
}
