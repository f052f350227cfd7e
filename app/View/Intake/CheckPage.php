<?php

declare(strict_types=1);

namespace App\View\Intake;

use App\Intake\Mapping;
use App\Intake\Preview;
use App\Intake\Reading\CellSort;
use App\Intake\Reading\DateOrder;
use App\Intake\Reading\Day;
use App\Intake\Reading\Sense;
use App\Intake\RowReaders;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\User;
use App\Support\FileColumn;
use App\Support\Format;
use Carbon\CarbonImmutable;

/** A file before it is brought in: what its rows are, which column is what, and what becomes of the first of them. */
final readonly class CheckPage
{
    private const EXAMPLE = 24;

    private const TEXT = 80;

    /** Days that are shown both ways, and cells that are looked through for them. */
    private const EXAMPLES = 3;

    private const LOOKED = 40;

    /** Of one column. */
    private const WORDS = 60;

    private const KINDS = [
        'accounts' => 'an account', 'contacts' => 'a contact', 'customers' => 'a customer', 'signals' => 'a signal',
        'relations' => 'somebody one of us knows', 'checks' => 'an address that was checked',
        'reactions' => 'somebody who reacted to a post',
    ];

    private const PARTED = ["\t" => 'a tab', ';' => 'a semicolon', ',' => 'a comma'];

    public ?string $problem;

    public Outlook $outlook;

    private function __construct(public Intake $intake, private Preview $preview, private User $reader)
    {
        $this->outlook = Outlook::of($intake);
        $this->problem = Mapping::problem($intake);
    }

    public static function of(Intake $intake, User $reader): self
    {
        return new self($intake, Preview::of($intake), $reader);
    }

    public function about(): string
    {
        $format = $this->intake->format;

        $headings = ($format['headings_line'] ?? 1) === 1
            ? ''
            : " The headings stand in line {$format['headings_line']}.";

        return isset($format['sheet'])
            ? "The sheet “{$format['sheet']}” of a workbook.$headings"
            : Format::number($this->intake->bytes / 1024)." kB, {$format['encoding']}, columns parted by "
                .self::PARTED[$format['delimiter']].".$headings";
    }

    /** @return array<string, bool> sheets of the workbook → whether it is the one that is looked at */
    public function sheets(): array
    {
        $sheets = $this->intake->format['sheets'] ?? [];

        return count($sheets) < 2 ? [] : array_combine(
            $sheets,
            array_map(fn (string $sheet): bool => $sheet === ($this->intake->format['sheet'] ?? null), $sheets),
        );
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

    /** @return list<array{label: string, name: string, chosen: string, hint: string|null}> */
    public function columns(): array
    {
        $columns = [];
        foreach ($this->intake->format['columns'] as $position => $heading) {
            $example = Format::cut($this->preview->examples($position, 1)[0] ?? '', self::EXAMPLE);
            $columns[] = [
                'label' => ($heading === '' ? 'column '.($position + 1) : $heading)
                    .($example === '' ? '' : ": $example"),
                'name' => "columns[$position]", 'chosen' => (string) ($this->intake->mapping[$position] ?? ''),
                'hint' => $this->hint($position),
            ];
        }

        return $columns;
    }

    /** What is not sure of a column: that it is told by its cells alone, or that it is left out. */
    private function hint(int $position): ?string
    {
        $field = $this->intake->mapping[$position] ?? null;
        $sort = CellSort::tryFrom($this->intake->format['sorts'][$position] ?? '');
        if ($field === null) {
            return 'left out'.($sort === null ? '' : "; it seems to hold {$sort->value}");
        }
        $isTold = isset(Mapping::guess($this->intake->kind, $this->intake->format['columns'])[$position]);

        return $isTold || $sort?->field($this->intake->kind) !== $field
            ? null
            : "guessed, since it holds {$sort->value}; is it so?";
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

    /** @return list<array{name: string, label: string, options: array<string, string>, chosen: string}> */
    public function dates(): array
    {
        $asked = [];
        foreach (Mapping::days($this->intake) as $position => $heading) {
            if (($this->intake->format['dates'][$position] ?? '') === DateOrder::Open->value) {
                $examples = array_filter(
                    $this->preview->examples($position, self::LOOKED),
                    fn (string $text): bool => DateOrder::ofCell($text) === DateOrder::Open,
                );
                $asked[] = [
                    'name' => "dates[$position]", 'label' => "Days under “{$heading}”",
                    'options' => self::readings(array_slice($examples, 0, self::EXAMPLES)),
                    'chosen' => $this->intake->answers['dates'][$position] ?? '',
                ];
            }
        }

        return $asked;
    }

    /**
     * @param  list<string>  $examples
     * @return array<string, string>
     */
    private static function readings(array $examples): array
    {
        $says = fn (string $order, bool $monthFirst): string => "$order: ".implode(' · ', array_map(
            fn (string $text): string => "$text is ".Format::date(
                CarbonImmutable::parse((string) Day::read($text, $monthFirst)),
            ),
            $examples,
        ));

        return [
            DateOrder::Day->value => $says('day first', false), DateOrder::Month->value => $says('month first', true),
        ];
    }

    /**
     * @return list<array{name: string, word: string, label: string, options: array<string, string>, chosen: string}>
     */
    public function words(): array
    {
        $asked = [];
        $columns = RowReaders::columns($this->intake->kind);
        $unknown = array_replace_recursive($this->preview->reading->unknown, $this->outlook->unknown());
        foreach ($unknown + ($this->intake->answers['words'] ?? []) as $field => $unused) {
            $told = $this->intake->answers['words'][$field] ?? [];
            $words = ($unknown[$field] ?? []) + array_fill_keys(array_keys($told), 0);
            foreach (array_keys(array_slice($words, 0, self::WORDS, true)) as $at => $word) {
                $asked[] = [
                    'name' => "words[$field][$at]", 'word' => (string) $word, 'label' => "“{$word}”",
                    'options' => self::meanings($columns[$field]),
                    'chosen' => $told[Sense::word((string) $word)] ?? '',
                ];
            }
        }

        return $asked;
    }

    /** @return array<string, string> */
    private static function meanings(FileColumn $column): array
    {
        return ['' => $column->required ? 'refuse its rows' : 'leave it empty'] + array_combine(
            $column->choices,
            array_map(fn (string $one): string => str_replace('_', ' ', $one), $column->choices),
        );
    }

    /** @return list<array{line: int, problem: string|null, becomes: array<string, string>, unread: string|null}> */
    public function rows(): array
    {
        return array_map(fn (array $row): array => [
            'line' => $row['line'],
            'problem' => $row['problem'] === null
                ? null
                : ($row['waits'] ? 'Waits: ' : 'Would be refused: ').$row['problem'],
            'becomes' => array_map(fn (string $text): string => Format::cut($text, self::TEXT), $row['becomes']),
            'unread' => $row['unread'] === [] ? null : 'stays empty: '.implode(' · ', array_map(
                fn (string $heading, string $text): string => "$heading “".Format::cut($text, self::TEXT).'”',
                array_keys($row['unread']),
                $row['unread'],
            )),
        ], $this->preview->rows);
    }
}
