<?php

declare(strict_types=1);

namespace App\View\Intake;

use App\Intake\Mapping;
use App\Intake\Preview;
use App\Intake\RowReaders;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\User;
use App\Support\Format;

/** A file before it is brought in: what its rows are, which column is what, and what becomes of the first of them. */
final readonly class CheckPage
{
    private const EXAMPLE = 24;

    private const TEXT = 80;

    private const KINDS = [
        'accounts' => 'an account', 'contacts' => 'a contact', 'customers' => 'a customer', 'signals' => 'a signal',
        'relations' => 'somebody one of us knows',
    ];

    private const PARTED = ["\t" => 'a tab', ';' => 'a semicolon', ',' => 'a comma'];

    public ?string $problem;

    private function __construct(public Intake $intake, private Preview $preview, private User $reader)
    {
        $this->problem = Mapping::problem($intake->kind, $intake->mapping ?? []);
    }

    public static function of(Intake $intake, User $reader): self
    {
        return new self($intake, Preview::of($intake), $reader);
    }

    public function about(): string
    {
        $format = $this->intake->format;

        return Format::number($this->intake->bytes / 1024)." kB, {$format['encoding']}, columns parted by "
            .self::PARTED[$format['delimiter']].'.';
    }

    /** The same file, brought before or by somebody else just now. */
    public function same(): ?string
    {
        $same = Intake::query()->with('user')->where('checksum', $this->intake->checksum)
            ->whereKeyNot($this->intake->id)
            ->whereNotIn('state', [IntakeState::Draft, IntakeState::Undone])->latest('id')->first();

        return match (true) {
            $same === null => null,
            $same->state->isMoving() => 'The same file is just being brought in by '.($same->user->name ?? 'somebody')
                .'. Yours would wait for it and then find nothing new.',
            default => 'The same file was brought in before'
                .($same->created_at === null ? '' : ', '.Format::ago($same->created_at))
                .'. Bringing it in again changes nothing that has not been changed since.',
        };
    }

    /** @return array<string, string> */
    public function kinds(): array
    {
        return self::KINDS;
    }

    /** @return list<array{label: string, name: string, chosen: string}> */
    public function columns(): array
    {
        $columns = [];
        foreach ($this->intake->format['columns'] as $position => $heading) {
            $example = Format::cut((string) ($this->preview->rows[0]['cells'][$position] ?? ''), self::EXAMPLE);
            $columns[] = [
                'label' => ($heading === '' ? 'column '.($position + 1) : $heading)
                    .($example === '' ? '' : ": $example"),
                'name' => "columns[$position]", 'chosen' => (string) ($this->intake->mapping[$position] ?? ''),
            ];
        }

        return $columns;
    }

    /** @return array<string, string> what a column can be */
    public function fields(): array
    {
        return ['' => 'leave out']
            + array_map(fn ($column): string => $column->label, RowReaders::columns($this->intake->kind));
    }

    /** @return array<int, string>|null whose address book it may be */
    public function whose(): ?array
    {
        return $this->intake->kind === IntakeKind::Relations ? $this->reader->speaksFor() : null;
    }

    public function owner(): int
    {
        return $this->intake->whose_id ?? $this->reader->id;
    }

    /** @return list<array{line: int, problem: string|null, becomes: array<string, string>}> */
    public function rows(): array
    {
        return array_map(fn (array $row): array => [
            'line' => $row['line'], 'problem' => $row['problem'],
            'becomes' => array_map(fn (string $text): string => Format::cut($text, self::TEXT), $row['becomes']),
        ], $this->preview->rows);
    }
}
