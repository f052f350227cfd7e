<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;

/** The first rows of a file, and what each would become. */
final readonly class Preview
{
    private const ROWS = 6;

    /**
     * @param  list<array{line: int, cells: list<string>, becomes: array<string, string>, problem: string|null}>  $rows
     */
    private function __construct(public array $rows)
    {
    }

    public static function of(Intake $intake): self
    {
        $reader = new (RowReaders::of($intake->kind));
        $columns = RowReaders::of($intake->kind)::columns();
        $rows = [];
        foreach ((new CsvRecords(Importer::path($intake), $intake->format['delimiter']))->from(0) as $record) {
            if ($record->line === 1) {
                continue;
            }
            $becomes = [];
            $problem = null;
            try {
                if ($record->cells === null) {
                    throw new RejectedRow('A quote opens in this row and is not closed.');
                }
                foreach (
                    $reader->read(
                        Mapping::apply($intake->mapping ?? [], $intake->format['columns'], $record->cells),
                    ) as $field => $value
                ) {
                    $text = self::text($value);
                    if ($text !== '') {
                        $label = isset($columns[$field]) ? $columns[$field]->label : str_replace('_', ' ', $field);
                        $becomes[$label] = $text;
                    }
                }
            } catch (RejectedRow $e) {
                $problem = $e->getMessage();
            }
            $rows[] = [
                'line' => $record->line, 'cells' => $record->cells ?? [$record->text], 'becomes' => $becomes,
                'problem' => $problem,
            ];
            if (count($rows) === self::ROWS) {
                break;
            }
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
