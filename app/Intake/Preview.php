<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;

/** The first rows of a file, and what each would become. */
final readonly class Preview
{
    private const ROWS = 6;

    /**
     * @param  list<array{line: int, cells: list<string>, becomes: array<string, string>, problem: string|null,
     *     unread: array<string, string>}>  $rows
     */
    private function __construct(public array $rows)
    {
    }

    public static function of(Intake $intake): self
    {
        $reader = new (RowReaders::of($intake->kind));
        $columns = RowReaders::columns($intake->kind);
        $records = [];
        foreach ((new CsvRecords(Importer::path($intake), $intake->format['delimiter']))->from(0) as $record) {
            if ($record->line > ($intake->format['headings_line'] ?? 1)) {
                $records[] = $record;
            }
            if (count($records) === self::ROWS) {
                break;
            }
        }
        $reading = BatchReading::of($intake, $reader, $records);
        $rows = [];
        foreach ($records as $record) {
            $becomes = [];
            foreach ($reading->records[$record->line] ?? [] as $field => $value) {
                $text = self::text($value);
                if ($text !== '') {
                    $label = isset($columns[$field]) ? $columns[$field]->label : str_replace('_', ' ', $field);
                    $becomes[$label] = $text;
                }
            }
            $rows[] = [
                'line' => $record->line, 'cells' => $record->cells ?? [$record->text], 'becomes' => $becomes,
                'problem' => $reading->rejected[$record->line] ?? $reading->waiting[$record->line] ?? null,
                'unread' => $reading->unread[$record->line] ?? [],
            ];
        }

        return new self($rows);
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
