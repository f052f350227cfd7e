<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Intake\LookThrough;
use App\Intake\Mapping;
use App\Models\Intake;
use App\Models\IntakeState;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Finds out what would become of a file that waits to be brought in. */
final class LookThroughIntake implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 3600;

    public function __construct(private readonly int $intake)
    {
    }

    public function handle(LookThrough $look): void
    {
        $intake = Intake::query()->find($this->intake);
        if ($intake !== null && $intake->state === IntakeState::Draft && Mapping::problem($intake) === null) {
            $look->run($intake);
        }
    }

    public function failed(Throwable $e): void
    {
        report($e);
        $intake = Intake::query()->find($this->intake);
        $intake?->update(['outlook' => ['for' => LookThrough::print($intake), 'failed' => true, 'done' => true]]);
    }
}
