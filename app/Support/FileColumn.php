<?php

declare(strict_types=1);

namespace App\Support;

/** A field that a column of a file can fill. */
final readonly class FileColumn
{
    /** @param  list<string>  $names folded headings by which it is recognised, in several languages */
    public function __construct(
        public string $label,
        public array $names,
        public string $example,
        public bool $required = false,
    ) {
    }
}
