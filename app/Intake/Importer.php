<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use App\Models\IntakeState;
use App\Support\Bulk;
use App\Support\Together;
use App\Support\Turn;
use Closure;

/**
 * Takes a file in, batch by batch. Each batch, with how far it got, is one transaction: whatever stops the work, it
 * goes on after the last whole batch. Intakes wait for each other, so that two files never write the same account at
 * once.
 */
final class Importer
{
    private const BATCH = 2000;

    private const TURN = 'intake';

    /** Seconds without a sign after which a worker is taken for dead; a sign is given with each batch. */
    private const SILENT = 60;

    /** Seconds for which one waits for another. */
    private const LONGEST = 3600;

    private RowReader $rows;

    private Told $told;

    private ?Turn $turn = null;

    /** @param  Closure(): bool|null  $keepGoing asked after each batch */
    public function run(Intake $intake, ?Closure $keepGoing = null): void
    {
        $this->alone(function () use ($intake, $keepGoing): void {
            $intake->refresh();
            if (! $intake->state->canBeStopped()) {
                return;
            }
            $intake->update(
                ['state' => IntakeState::Running, 'message' => null, 'started_at' => $intake->started_at ?? now()],
            );
            $this->rows = new (RowReaders::of($intake->kind));
            $batch = [];
            $this->told = new Told;
            try {
                if ($intake->offset > 0) {
                    $this->recall($intake);
                }
                foreach (CsvRecords::ofRows($intake, $intake->offset, $intake->line) as $record) {
                    $batch[] = $record;
                    if (count($batch) === self::BATCH) {
                        $this->take($intake, $batch);
                        $batch = [];
                        if ($keepGoing !== null && ! $keepGoing() || $this->isStopped($intake)) {
                            return;
                        }
                    }
                }
                $this->take($intake, $batch);
                $intake->update([
                    'state' => IntakeState::Done, 'finished_at' => now(), 'offset' => $intake->bytes, 'message' => null,
                ]);
                // What was taken and what was not is in the base; the file would only keep what somebody may ask to be
                // erased.
                $intake->forgetFile();
            } catch (UnreadableFile $e) {
                $intake->update(['state' => IntakeState::Stopped, 'message' => $e->getMessage()]);
            }
        });
    }

    /**
     * Puts back what an intake changed and removes what it created, unless others have built on it since.
     */
    public function undo(Intake $intake): void
    {
        $this->alone(fn () => (new UndoIntake)->run($intake, fn () => $this->turn?->keep()));
    }

    /** Whether a worker is taking a file in just now; a worker that died is not. */
    public function isBusy(): bool
    {
        return Turn::isTaken(self::TURN);
    }

    public static function path(Intake $intake): string
    {
        return config('luftig.intakes').'/'.$intake->path;
    }

    /** @param  list<CsvRecord>  $batch */
    private function take(Intake $intake, array $batch): void
    {
        if ($batch === []) {
            return;
        }
        $reading = BatchReading::of($intake, $this->rows, $batch);
        $last = $batch[count($batch) - 1];
        $isFirst = true;
        Together::write(function () use ($intake, $batch, $reading, $last, &$isFirst): void {
            $this->turn?->keep();
            if (! $isFirst) {
                // What it remembers of rows that it entered is not true any more.
                $this->rows = new $this->rows;
            }
            $isFirst = false;
            $tally = new Tally;
            $tally->rejected = $reading->rejected;
            $tally->waiting = $reading->waiting;
            $this->store($intake, $reading, $tally);
            $intake->fill([
                'offset' => $last->end,
                'line' => $last->line + substr_count($last->text, "\n"),
                'rows' => $intake->rows + count($batch),
                'created' => $intake->created + $tally->created,
                'updated' => $intake->updated + $tally->updated,
                'unchanged' => $intake->unchanged + $tally->unchanged,
                'rejected' => $intake->rejected + count($tally->rejected),
                'waiting' => $intake->waiting + count($tally->waiting),
                'unread' => $intake->unread + array_sum(array_map(count(...), $reading->unread)),
                'short' => $intake->short + count($reading->short),
                'cleaned' => $intake->cleaned + count($reading->cleaned),
            ])->save();
        }, $intake);
        $this->told->remember($this->rows, $reading->records);
    }

    /** @param  Tally  $tally  with what was refused, or waits, already */
    private function store(Intake $intake, BatchReading $reading, Tally $tally): void
    {
        $ledger = new Ledger($intake->id);
        foreach ($this->told->groups($this->rows, $reading->records) as $group) {
            $tally->add($this->rows->store($group, $ledger));
        }
        $ledger->write();
        $rows = [];
        foreach ([$tally->rejected, $tally->waiting] as $waits => $reasons) {
            foreach ($reasons as $line => $reason) {
                $rows[] = [$intake->id, $line, mb_substr($reason, 0, 500), $waits === 1, json_encode(
                    $reading->texts[$line],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
                )];
            }
        }
        Bulk::insert('intake_rejections', ['intake_id', 'line', 'reason', 'waits', 'row'], $rows);
        $cells = [];
        foreach ($reading->unread as $line => $unread) {
            foreach ($unread as $heading => $written) {
                $cells[] = [
                    $intake->id, $line, mb_substr((string) $heading, 0, 190), mb_substr($written, 0, 500),
                ];
            }
        }
        Bulk::insert('intake_cells', ['intake_id', 'line', 'heading', 'written'], $cells);
    }

    /** Whether somebody stopped it meanwhile. */
    private function isStopped(Intake $intake): bool
    {
        return Intake::query()->whereKey($intake->id)->where('state', IntakeState::Running)->doesntExist();
    }

    /** What was met before an import was stopped. */
    private function recall(Intake $intake): void
    {
        foreach (CsvRecords::ofRows($intake) as $record) {
            if ($record->end > $intake->offset) {
                break;
            }
            $this->told->remember($this->rows, BatchReading::of($intake, $this->rows, [$record])->records);
        }
    }

    private function alone(Closure $work): void
    {
        $this->turn = Turn::await(self::TURN, self::SILENT, self::LONGEST);
        try {
            $work();
        } finally {
            $this->turn->end();
            $this->turn = null;
        }
    }
}
