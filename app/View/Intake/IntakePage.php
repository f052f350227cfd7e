<?php

declare(strict_types=1);

namespace App\View\Intake;

use App\Intake\SecondReading;
use App\Models\Intake;
use App\Models\IntakeCell;
use App\Models\IntakeRejection;
use App\Models\IntakeState;
use App\Models\User;
use App\Support\Format;
use Illuminate\Support\Collection;

/** A file while it is brought in and afterwards: how far it is, what came of its rows, which are out and why. */
final readonly class IntakePage
{
    private const REFUSED = 50;

    private const ROW = 110;

    private const TALLY = [
        'rows' => 'rows read', 'created' => 'new', 'updated' => 'changed', 'unchanged' => 'as they were',
        'waiting' => 'wait', 'rejected' => 'refused',
    ];

    /** Said only where there are some. */
    private const RARE = [
        'unread' => 'cells left empty', 'short' => 'rows that end early', 'cleaned' => 'rows with control characters',
    ];

    /**
     * @param  Collection<int, IntakeRejection>  $refused
     * @param  Collection<int, IntakeRejection>  $waiting
     * @param  Collection<int, IntakeCell>  $unread
     * @param  Intake|null  $next  of the files of whoever looks that still wait to be brought in
     */
    private function __construct(
        public Intake $intake,
        private Collection $refused,
        private Collection $waiting,
        private Collection $unread,
        public ?Intake $next,
    ) {
    }

    public static function of(Intake $intake, User $reader): self
    {
        return new self(
            $intake,
            $intake->rejections()->where('waits', false)->limit(self::REFUSED)->get(),
            $intake->rejections()->where('waits', true)->limit(self::REFUSED)->get(),
            $intake->cells()->limit(self::REFUSED)->get(),
            Intake::query()->where('user_id', $reader->id)->where('state', IntakeState::Draft)->oldest('id')->get()
                ->sortBy(fn (Intake $draft): int => $draft->kind->order())->first(),
        );
    }

    public function isMoving(): bool
    {
        return $this->intake->state->isMoving();
    }

    /** Why it stands as it does, where there is more to say than its state does. */
    public function says(): ?string
    {
        return $this->isStopped() && $this->intake->stopper !== null
            ? "{$this->intake->stopper->name} stopped it. What was brought in is there; go on with it, or undo it."
            : $this->intake->message;
    }

    /** Whether something went wrong, and not somebody's will. */
    public function isFailure(): bool
    {
        return $this->isStopped() && $this->intake->message !== null;
    }

    public static function stateOf(Intake $intake): string
    {
        $at = $intake->finished_at === null ? '' : ' '.Format::ago($intake->finished_at);

        return ucfirst($intake->kind->value).", {$intake->state->label()}$at."
            .($intake->state->isMoving() ? ' You can leave this page; it goes on.' : '');
    }

    /** @return list<array{field: string, number: string, label: string}> */
    public function tally(): array
    {
        $rare = array_filter(
            self::RARE,
            fn (string $field): bool => $this->intake->getAttribute($field) > 0,
            ARRAY_FILTER_USE_KEY,
        );
        $tally = self::TALLY + $rare;

        return array_map(fn (string $field, string $label): array => [
            'field' => $field, 'number' => Format::number((int) $this->intake->getAttribute($field)), 'label' => $label,
        ], array_keys($tally), $tally);
    }

    public function isDone(): bool
    {
        return $this->intake->state === IntakeState::Done;
    }

    public function isStopped(): bool
    {
        return $this->intake->state === IntakeState::Stopped;
    }

    /** @return array<string, string> how rows that wait can be brought in → what that says */
    public function settles(): array
    {
        $says = [
            'no_website' => [SecondReading::withoutWebsite($this->intake), 'Bring in %s without a website'],
            'proposed' => [SecondReading::proposed($this->intake), 'Read %s as proposed'],
        ];

        return $this->isDone() && $this->intake->waiting > 0 ? array_map(
            fn (array $one): string => sprintf($one[1], Format::count($one[0], 'row')),
            array_filter($says, fn (array $one): bool => $one[0] > 0),
        ) : [];
    }

    public function isAnyOut(): bool
    {
        return $this->refused->isNotEmpty() || $this->waiting->isNotEmpty();
    }

    /** @return list<array{title: string, rows: list<array{line: int, why: string, row: string}>, more: string|null}> */
    public function out(): array
    {
        return array_values(array_filter([
            self::part('Wait for somebody to say what is meant', $this->waiting, $this->intake->waiting),
            self::part('Refused, and why', $this->refused, $this->intake->rejected),
        ], fn (array $part): bool => $part['rows'] !== []));
    }

    /**
     * @param  Collection<int, IntakeRejection>  $rows
     * @return array{title: string, rows: list<array{line: int, why: string, row: string}>, more: string|null}
     */
    private static function part(string $title, Collection $rows, int $all): array
    {
        return [
            'title' => $title,
            'rows' => array_values($rows->map(fn (IntakeRejection $row): array => [
                'line' => $row->line,
                'why' => $row->reason,
                'row' => Format::cut(implode(' · ', array_filter($row->row)), self::ROW),
            ])->all()),
            'more' => self::more($rows->count(), $all),
        ];
    }

    /** @return list<array{line: int, heading: string, written: string}> cells that could not be read */
    public function unread(): array
    {
        return array_values($this->unread->map(fn (IntakeCell $cell): array => [
            'line' => $cell->line, 'heading' => $cell->heading, 'written' => Format::cut($cell->written, self::ROW),
        ])->all());
    }

    public function moreUnread(): ?string
    {
        return self::more($this->unread->count(), $this->intake->unread);
    }

    private static function more(int $shown, int $all): ?string
    {
        return $all > $shown
            ? "The first $shown of ".Format::number($all).'; the download has them all.'
            : null;
    }

    public function undoes(): string
    {
        return Format::number($this->intake->created).' new records go, '.Format::number($this->intake->updated)
            .' changed ones become what they were. What somebody has changed or built on since stays. The file can '
            .'be brought again.';
    }
}
