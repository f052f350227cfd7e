<?php

declare(strict_types=1);

namespace App\Support;

/** A field that a column of a file can fill. */
final readonly class FileColumn
{
    /**
     * @param  list<string>  $names folded headings by which it is recognised, in several languages
     * @param  list<string>  $choices what it can say, where that is one of a few
     */
    public function __construct(
        public string $label,
        public array $names,
        public string $example,
        public bool $required = false,
        public bool $isDay = false,
        public array $choices = [],
    ) {
    }

    public function needed(): self
    {
        return new self($this->label, $this->names, $this->example, true, $this->isDay, $this->choices);
    }

    /** @param  list<string>  $names */
    public function alsoNamed(array $names): self
    {
        return new self(
            $this->label, array_values(array_unique([...$this->names, ...$names])), $this->example, $this->required,
            $this->isDay, $this->choices,
        );
    }
}
