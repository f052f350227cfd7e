<?php

declare(strict_types=1);

namespace App\Exports;

use App\Finder\ResultColumn;
use App\Finder\ResultRows;
use App\Models\Account;
use App\Models\Contact;
use Closure;
use Generator;

/** What is given out: the records with the columns chosen of them, and the search that they come from. */
final readonly class Export
{
    /**
     * @param  string  $name  of the file, without its ending
     * @param  list<ResultColumn>  $columns
     * @param  Closure(): Generator<array{Account|Contact, ResultRows}>  $records
     * @param  string|null  $foundBy  address of the search, where it is told in the file
     * @param  int|null  $found  how many it found, with those that are not given out
     */
    public function __construct(
        public string $name,
        private array $columns,
        private Closure $records,
        public ?string $foundBy = null,
        public ?int $found = null,
    ) {
    }

    /** @return list<string> */
    public function headings(): array
    {
        return array_column($this->columns, 'heading');
    }

    /** @return Generator<list<string>> */
    public function lines(): Generator
    {
        foreach (($this->records)() as [$record, $rows]) {
            yield array_map(fn (ResultColumn $column): string => $column->value($record, $rows), $this->columns);
        }
    }

    /** @return Generator<array{Account|Contact, ResultRows}> */
    public function records(): Generator
    {
        yield from ($this->records)();
    }
}
