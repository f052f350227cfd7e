<?php

declare(strict_types=1);

namespace App\Intake;

use App\Support\Same;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * A row that is there, told of again: what is said now is taken, or waits where a row of the same file said otherwise.
 */
final readonly class KnownRow
{
    /** @param  list<string>  $fields  that may change */
    public function __construct(
        private string $table,
        private string $record,
        private array $fields,
        private Tally $tally,
        private Ledger $ledger,
        private string $now,
    ) {
    }

    /**
     * @param  array<string, mixed>  $row
     * @return bool whether it is another one now
     */
    public function take(int $line, array $row, stdClass $there): bool
    {
        $after = Otherwise::without($row, array_filter(
            array_intersect_key($row, array_flip($this->fields)),
            fn (mixed $value, string $field): bool => $value !== null && ! self::isSame($field, $value, $there->$field),
            ARRAY_FILTER_USE_BOTH,
        ));
        $otherwise = Otherwise::says($row, $after, (array) $there);
        if ($otherwise !== null) {
            $this->tally->waiting[$line] = $otherwise;

            return false;
        }
        if ($after === []) {
            $this->tally->unchanged++;

            return false;
        }
        DB::table($this->table)->where('id', $there->id)->update($after + ['updated_at' => $this->now]);
        $this->ledger->changed($this->record, $there->id, array_intersect_key((array) $there, $after), $after);
        $this->tally->updated++;

        return true;
    }

    private static function isSame(string $field, mixed $value, mixed $there): bool
    {
        return Same::value($value, $there) || $field === 'facts' && Same::json($value, (string) $there);
    }
}
