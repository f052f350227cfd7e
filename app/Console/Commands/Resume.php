<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Intake\Importer;
use App\Jobs\RunIntake;
use App\Jobs\RunLookUps;
use App\Models\Intake;
use App\Models\IntakeState;
use Illuminate\Console\Command;

final class Resume extends Command
{
    protected $signature = 'luftig:resume';

    protected $description = 'Goes on with intakes and look-ups whose worker died';

    public function handle(Importer $importer): int
    {
        RunLookUps::resume();
        if ($importer->isBusy()) {
            return self::SUCCESS;
        }
        foreach (Intake::query()->whereIn('state', [IntakeState::Running, IntakeState::Undoing])->get() as $intake) {
            RunIntake::dispatch($intake->id, $intake->state === IntakeState::Undoing);
            $this->line("{$intake->name} goes on.");
        }

        return self::SUCCESS;
    }
}
