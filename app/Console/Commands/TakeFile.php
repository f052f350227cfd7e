<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Intake\Importer;
use App\Intake\Mapping;
use App\Intake\ReceiveFile;
use App\Intake\UnreadableFile;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Standings\Standings;
use Illuminate\Console\ManuallyFailedException;

/** A file as if it had been dropped on Intake and brought in as it is understood; it can be undone there. */
final class TakeFile extends ForSomebody
{
    protected $signature = 'luftig:take {file} {--by= : address of whoever brings it} '
        .'{--kind= : what it holds, where the columns do not say} {--offer=}';

    protected $description = 'Bring a file of accounts, contacts, signals, customers or relations in';

    public function handle(Importer $importer, Standings $standings): int
    {
        $path = (string) $this->argument('file');
        $kind = $this->option('kind');
        $kind = is_string($kind)
            ? IntakeKind::tryFrom($kind) ?? throw new ManuallyFailedException('--kind is one of '
                .implode(', ', array_column(IntakeKind::cases(), 'value')).'.') : null;
        try {
            is_file($path) || throw new ManuallyFailedException("There is no file $path.");
            $intake = ReceiveFile::file($path, basename($path), $this->by(), $kind);
        } catch (UnreadableFile $e) {
            throw new ManuallyFailedException($e->getMessage(), previous: $e);
        }
        $problem = Mapping::problem($intake);
        if ($problem !== null) {
            $intake->discard();
            throw new ManuallyFailedException("$problem Nothing was brought in.");
        }
        $intake->update(['state' => IntakeState::Queued]);
        $importer->run($intake);
        $standings->refresh();
        $this->say((string) json_encode($intake->refresh()->only(
            'id', 'rows', 'created', 'updated', 'unchanged', 'rejected', 'waiting',
        ) + ['kind' => $intake->kind->value, 'state' => $intake->state->value, 'undo' => route('intake.show', $intake)],
            JSON_UNESCAPED_SLASHES));

        return $intake->state === IntakeState::Done ? self::SUCCESS : self::FAILURE;
    }
}
