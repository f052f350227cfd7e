<?php

declare(strict_types=1);

namespace App\Intake\Reading;

use App\Intake\CsvRecord;
use App\Models\Intake;

/** In which order the days of a column are written, where figures are parted by / or -. */
enum DateOrder: string
{
    case Day = 'day';
    case Month = 'month';
    case Open = 'open';

    /** Rows after which it is clear which columns have days. */
    private const TELLING = 2_000;

    private const FIGURES = '~^(\d{1,2})[/-](\d{1,2})[/-](?:\d{4}|\d\d)\b~';

    /** What somebody said of a column, else what its cells tell; null where no cell is such a day. */
    public static function of(Intake $intake, int $position): ?self
    {
        return self::tryFrom($intake->answers['dates'][$position] ?? $intake->format['dates'][$position] ?? '');
    }

    /** What one cell tells; null where it is no such day, or none at all. */
    public static function ofCell(string $text): ?self
    {
        if (preg_match(self::FIGURES, $text, $p) !== 1) {
            return null;
        }
        [, $first, $second] = array_map(intval(...), $p);

        return match (true) {
            $first === $second => null,
            $first > 12 && $second > 12 => null,
            $first > 12 => self::Day,
            $second > 12 => self::Month,
            default => self::Open,
        };
    }

    /**
     * What the cells of each column tell together; those that contradict each other leave it open.
     *
     * @param  iterable<CsvRecord>  $records
     * @return array<int, string> by position, of columns with such days
     */
    public static function ofColumns(iterable $records): array
    {
        $told = [];
        $read = 0;
        foreach ($records as $record) {
            // A column that has none for long is none of days; most files have none at all.
            $isEarly = ++$read <= self::TELLING;
            if (! $isEarly && $told === []) {
                break;
            }
            $cells = $record->cells ?? [];
            foreach ($isEarly ? $cells : array_intersect_key($cells, $told) as $position => $cell) {
                $order = self::ofCell(trim($cell));
                if ($order !== null) {
                    $told[$position][$order->value] = true;
                }
            }
        }

        return array_map(fn (array $orders): string => self::together($orders)->value, $told);
    }

    /** @param  array<string, true>  $orders */
    private static function together(array $orders): self
    {
        return match (true) {
            // Where each cell can be read one way only, there is nothing to ask.
            isset($orders['day'], $orders['month']) => isset($orders['open']) ? self::Open : self::Day,
            isset($orders['month']) => self::Month,
            isset($orders['day']) => self::Day,
            default => self::Open,
        };
    }
}
