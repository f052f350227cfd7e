<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\Blank;
use App\Models\Intake;

/** The first part of a file, read: what its rows would become, and what of them cannot be read. */
final readonly class Preview
{
    /** Rows that are read. */
    private const READ = 2_000;

    /** Rows that are shown of those that are plain, and of those that are not. */
    private const SHOWN = 6;

    /**
     * @param  list<array{line: int, becomes: array<string, string>, problem: string|null, waits: bool,
     *     unread: array<string, string>}>  $rows
     * @param  list<list<string>>  $cells
     */
    private function __construct(
        public array $rows,
        public BatchReading $reading,
        private array $cells,
    ) {
    }

    public static function of(Intake $intake): self
    {
        $reader = new (RowReaders::of($intake->kind));
        $records = [];
        foreach (CsvRecords::ofRows($intake) as $record) {
            $records[] = $record;
            if (count($records) === self::READ) {
                break;
            }
        }
        $reading = BatchReading::of($intake, $reader, $records);
        $labels = array_map(fn ($column): string => $column->label, RowReaders::columns($intake->kind));
        $rows = $shown = [];
        foreach ($records as $record) {
            $problem = $reading->rejected[$record->line] ?? $reading->waiting[$record->line] ?? null;
            $unread = $reading->unread[$record->line] ?? [];
            $isPlain = $problem === null && $unread === [];
            $shown[$isPlain] = ($shown[$isPlain] ?? 0) + 1;
            if ($shown[$isPlain] <= self::SHOWN) {
                $rows[] = [
                    'line' => $record->line, 'problem' => $problem, 'unread' => $unread,
                    'waits' => isset($reading->waiting[$record->line]),
                    'becomes' => self::becomes($reading->records[$record->line] ?? [], $labels),
                ];
            }
        }

        return new self(
            $rows,
            $reading,
            array_map(fn (CsvRecord $record): array => $record->cells ?? [], $records),
        );
    }

    /** @return list<string> some of what stands in a column, each once */
    public function examples(int $position, int $most): array
    {
        $examples = [];
        foreach ($this->cells as $cells) {
            $text = trim($cells[$position] ?? '');
            if (! Blank::is($text)) {
                $examples[$text] = true;
            }
            if (count($examples) === $most) {
                break;
            }
        }

        return array_map(strval(...), array_keys($examples));
    }

    /**
     * @param  array<string, mixed>  $record
     * @param  array<string, string>  $labels
     * @return array<string, string>
     */
    private static function becomes(array $record, array $labels): array
    {
        $becomes = [];
        foreach ($record as $field => $value) {
            $text = self::text($value);
            if ($text !== '') {
                $becomes[$labels[$field] ?? str_replace('_', ' ', $field)] = $text;
            }
        }

        return $becomes;
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : '',
            is_array($value) => implode(', ', array_filter(
                array_map(fn (mixed $one): string => self::text($one), $value),
            )),
            is_float($value) => rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.'),
            default => str_ends_with((string) $value, ' 00:00:00') ? substr((string) $value, 0, 10) : (string) $value,
        };
    }
}
