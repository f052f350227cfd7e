<?php

declare(strict_types=1);

namespace App\View\Intake;

use App\Models\Intake;
use App\Models\IntakeRejection;
use App\Models\IntakeState;
use App\Support\Format;
use Illuminate\Support\Collection;

/** A file while it is brought in and afterwards: how far it is, what came of its rows, which were refused and why. */
final readonly class IntakePage
{
    private const REFUSED = 50;

    private const ROW = 110;

    private const TALLY = [
        'rows' => 'rows read', 'created' => 'new', 'updated' => 'changed', 'unchanged' => 'as they were',
        'rejected' => 'refused',
    ];

    /** @param  Collection<int, IntakeRejection>  $refused */
    private function __construct(public Intake $intake, private Collection $refused)
    {
    }

    public static function of(Intake $intake): self
    {
        return new self($intake, $intake->rejections()->limit(self::REFUSED)->get());
    }

    public function isMoving(): bool
    {
        return $this->intake->state->isMoving();
    }

    public function state(): string
    {
        $at = $this->intake->finished_at === null ? '' : ' '.Format::ago($this->intake->finished_at);

        return ucfirst($this->intake->kind->value).", {$this->intake->state->label()}$at."
            .($this->isMoving() ? ' You can leave this page; it goes on.' : '');
    }

    /** 0–1; null where there is nothing to wait for */
    public function progress(): ?float
    {
        return in_array($this->intake->state, [IntakeState::Running, IntakeState::Queued, IntakeState::Stopped], true)
            ? $this->intake->progress() : null;
    }

    /** @return list<array{field: string, number: string, label: string}> */
    public function tally(): array
    {
        return array_map(fn (string $field, string $label): array => [
            'field' => $field, 'number' => Format::number((int) $this->intake->getAttribute($field)), 'label' => $label,
        ], array_keys(self::TALLY), self::TALLY);
    }

    public function isDone(): bool
    {
        return $this->intake->state === IntakeState::Done;
    }

    public function isStopped(): bool
    {
        return $this->intake->state === IntakeState::Stopped;
    }

    /** @return array<int, array{line: int, why: string, row: string}> */
    public function refused(): array
    {
        return $this->refused->map(fn (IntakeRejection $row): array => [
            'line' => $row->line,
            'why' => $row->reason,
            'row' => Format::cut(implode(' · ', array_filter($row->row)), self::ROW),
        ])->all();
    }

    public function more(): ?string
    {
        return $this->intake->rejected > $this->refused->count()
            ? "The first {$this->refused->count()} of ".Format::number($this->intake->rejected)
                .'; the download has them all.'
                : null;
    }

    public function undoes(): string
    {
        return Format::number($this->intake->created).' new records go, '.Format::number($this->intake->updated)
            .' changed ones become what they were. What somebody has changed or built on since stays. The file can '
            .'be brought again.';
    }
}
