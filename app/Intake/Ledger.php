<?php

declare(strict_types=1);

namespace App\Intake;

/** Writes down what an intake created and changed, so that it can be undone. */
final class Ledger
{
    /** @var list<list<int|string|null>> */
    private array $rows = [];

    public function __construct(private readonly int $intake)
    {
    }

    /** @param  list<int>  $ids */
    public function created(string $record, array $ids): void
    {
        foreach ($ids as $id) {
            $this->rows[] = [$this->intake, $record, $id, null, null];
        }
    }

    /**
     * @param  array<string, mixed>  $before  the changed fields as they were
     * @param  array<string, mixed>  $after  and as they are now
     */
    public function changed(string $record, int $id, array $before, array $after): void
    {
        $this->rows[] = [$this->intake, $record, $id, json_encode($before, JSON_THROW_ON_ERROR), json_encode($after, JSON_THROW_ON_ERROR)];
    }

    public function write(): void
    {
        Bulk::insert('intake_changes', ['intake_id', 'record', 'record_id', 'before', 'after'], $this->rows);
        $this->rows = [];
    }
}
