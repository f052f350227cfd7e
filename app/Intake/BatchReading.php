<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\Row;
use App\Intake\Reading\Sense;
use App\Models\Intake;

/** Some rows of a file, read: what they say, which of them are refused or wait, and which cells say nothing. */
final class BatchReading
{
    /** How the reason of a row begins in which a cell is proposed. */
    public const PROPOSES = 'The row has % An unquoted %';

    /** @var array<int, array<string, mixed>> line → what it says */
    public array $records = [];

    /** @var array<int, list<string>> line → its cells as they are written */
    public array $texts = [];

    /** @var array<int, string> line → why it is refused */
    public array $rejected = [];

    /** @var array<int, string> line → why it waits */
    public array $waiting = [];

    /** @var array<int, array<string, string>> line → heading → what is written there and cannot be read */
    public array $unread = [];

    /** @var array<string, array<string, int>> field → word that is none of what it can say → how many cells have it */
    public array $unknown = [];

    /** @var list<int> lines with fewer cells than there are headings */
    public array $short = [];

    /** @var list<int> lines with control characters */
    public array $cleaned = [];

    /** @var list<string> */
    private readonly array $headings;

    /** @var array<int, string> */
    private readonly array $mapping;

    /** @var array<string, string> what holds for each row that says nothing else of it, by field */
    private readonly array $otherwise;

    private readonly Sense $sense;

    private function __construct(private readonly Intake $intake, private readonly RowReader $reader)
    {
        $this->headings = $intake->format['columns'];
        $this->mapping = $intake->mapping ?? [];
        $this->otherwise = array_filter(
            ['source' => (string) $intake->source],
            fn (string $source): bool => $source !== '',
        );
        $this->sense = Sense::of($intake);
    }

    /** @param  iterable<CsvRecord>  $records */
    public static function of(Intake $intake, RowReader $reader, iterable $records): self
    {
        $reading = new self($intake, $reader);
        foreach ($records as $record) {
            $reading->read($record);
        }

        return $reading;
    }

    private function read(CsvRecord $record): void
    {
        $line = $record->line;
        $this->texts[$line] = $record->cells ?? [$record->text];
        if ($record->cells === null) {
            $this->rejected[$line] = (string) $record->why;

            return;
        }
        $row = Row::of($record->cells);
        if ($row->wasCleaned) {
            $this->cleaned[] = $line;
        }
        if ($row->isShorter(count($this->headings))) {
            $this->short[] = $line;
        }
        if ($row->isLonger(count($this->headings))) {
            $this->waiting[$line] = $this->proposal($row);

            return;
        }
        $cells = $this->cells($row->cells);
        try {
            $this->records[$line] = $this->reader->read($cells);
            $this->note($line, $cells);
        } catch (RejectedRow $e) {
            $this->rejected[$line] = $e->getMessage();
        }
        foreach ($cells->unknown() as $field => $word) {
            $this->unknown[$field][$word] = ($this->unknown[$field][$word] ?? 0) + 1;
        }
    }

    /** @param  list<string>  $row */
    private function cells(array $row): Cells
    {
        return new Cells(Mapping::apply($this->mapping, $this->headings, $row) + $this->otherwise, $this->sense);
    }

    private function note(int $line, Cells $cells): void
    {
        $places = array_flip($this->mapping);
        foreach ($cells->unread() as $field => $written) {
            $heading = str_starts_with($field, 'extras:')
                ? substr($field, 7)
                : $this->headings[$places[$field] ?? -1] ?? $field;
            $this->unread[$line][$heading] = $written;
        }
    }

    private function proposal(Row $row): string
    {
        $count = count($row->cells);
        $says = "The row has $count cells under ".count($this->headings).' headings.';
        $sign = ['\\t' => 'tab', ';' => 'semicolon'][$this->intake->format['delimiter']] ?? 'comma';
        $best = $this->best($row);

        return $best === null
            ? $says
            : "$says An unquoted $sign in the cell of “{$this->headings[$best]}”? Write the whole cell in quotes, and "
                .'bring the row again.';
    }

    /**
     * The cells of a row that has too many as they were most likely meant; null where that cannot be told.
     *
     * @param  list<string>  $cells
     * @return list<string>|null
     */
    public static function meant(Intake $intake, RowReader $reader, array $cells): ?array
    {
        $reading = new self($intake, $reader);
        $row = Row::of($cells);
        $best = $reading->best($row);

        return $best === null ? null : array_slice($reading->ways($row)[$best], 0, count($reading->headings));
    }

    /** Which cells may have been meant as one: where all others can be read then. */
    private function best(Row $row): ?int
    {
        $best = null;
        $least = PHP_INT_MAX;
        foreach ($this->ways($row) as $at => $way) {
            try {
                $cells = $this->cells($way);
                $this->reader->read($cells);
                $unread = count($cells->unread());
            } catch (RejectedRow) {
                $unread = PHP_INT_MAX;
            }
            if ($unread < $least) {
                [$best, $least] = [$at, $unread];
            }
        }

        return $best;
    }

    /** @return array<int, list<string>> */
    private function ways(Row $row): array
    {
        return $row->joined(count($this->headings), $this->intake->format['delimiter']);
    }
}
