<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Intake\Importer;
use App\Jobs\RunIntake;
use App\Jobs\RunLookUps;
use App\Models\Intake;
use App\Models\IntakeState;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Queue;

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
        // Whose job was lost before it began waits, while nothing is to be begun.
        $lost = Queue::pendingSize() > 0 ? [] : Intake::query()->where('state', IntakeState::Queued)
            ->where('updated_at', '<', now()->subMinute())->get();
        $died = Intake::query()->whereIn('state', [IntakeState::Running, IntakeState::Undoing])->get();
        foreach ([...$died, ...$lost] as $intake) {
            RunIntake::dispatch($intake->id, $intake->state === IntakeState::Undoing);
            $this->line("{$intake->name} goes on.");
        }

        return self::SUCCESS;
    }
}
