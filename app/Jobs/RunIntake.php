<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Intake\Importer;
use App\Models\Intake;
use App\Models\IntakeState;
use App\Standings\Standings;
use App\Support\KeyStatistics;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Takes a file in, or takes it back, in the background. A worker that dies leaves it to be continued. */
final class RunIntake implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 3600;

    public function __construct(private readonly int $intake, private readonly bool $undo = false)
    {
    }

    public function handle(Importer $importer, Standings $standings): void
    {
        $intake = Intake::query()->find($this->intake);
        if ($intake === null) {
            return;
        }
        $this->undo ? $importer->undo($intake) : $importer->run($intake);
        $standings->refresh();
        KeyStatistics::refresh();
    }

    public function failed(Throwable $e): void
    {
        report($e);
        Intake::query()->whereKey($this->intake)
            ->whereIn('state', [IntakeState::Queued, IntakeState::Running, IntakeState::Undoing])->update([
                'state' => IntakeState::Stopped,
                'message' => 'Something went wrong on our side, so it stopped after the last whole part. What was '
                    .'brought in is '
                    .'there; continue it, or undo it.',
            ]);
    }
}
