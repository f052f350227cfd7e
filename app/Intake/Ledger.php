<?php

declare(strict_types=1);

namespace App\Intake;

use App\Support\Bulk;

/** Writes down what an intake created and changed, so that it can be undone. */
final class Ledger
{
    /** @var list<list<int|string|null>> */
    private array $rows = [];

    public function __construct(public readonly int $intake)
    {
    }

    /** @param  list<int>  $ids */
    public function created(string $record, array $ids): void
    {
        $first = $count = 0;
        foreach ([...$ids, null] as $id) {
            if ($count > 0 && $id !== $first + $count) {
                $this->rows[] = [$this->intake, $record, $first, $count, null, null];
                $count = 0;
            }
            if ($count++ === 0) {
                $first = (int) $id;
            }
        }
    }

    /**
     * @param  array<string, mixed>  $before  the changed fields as they were
     * @param  array<string, mixed>  $after  and as they are now
     */
    public function changed(string $record, int $id, array $before, array $after): void
    {
        $this->rows[] = [
            $this->intake, $record, $id, 1, json_encode($before, JSON_THROW_ON_ERROR),
            json_encode($after, JSON_THROW_ON_ERROR),
        ];
    }

    public function write(): void
    {
        Bulk::insert('intake_changes', ['intake_id', 'record', 'record_id', 'count', 'before', 'after'], $this->rows);
        $this->rows = [];
    }
}
