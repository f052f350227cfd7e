<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Cell;

/** Numbers, truths and lists that a program says, as a cell of a file would say them. */
trait ValuesAsCells
{
    protected function prepareForValidation(): void
    {
        if ($this->isJson()) {
            $this->merge(array_map(Cell::of(...), array_intersect_key($this->all(), array_flip(self::FIELDS))));
        }
    }
}
