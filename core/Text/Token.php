<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** A piece of a text query with its place. */
final readonly class Token
{
    /**
     * @param  'words'|'AND'|'OR'|'NOT'|'-'|'('|')'|','  $type  a comma stands for a line break, too
     * @param  int  $at  character from 0
     * @param  list<string>  $words  folded, for `words`
     */
    public function __construct(
        public string $type,
        public int $at,
        public array $words = [],
        public bool $open = false,
        public bool $quoted = false,
    ) {
    }

    /** Whether it makes its part of a list a query, and not a phrase. */
    public function isOperator(): bool
    {
        return $this->type === 'words' ? $this->quoted || $this->open : $this->type !== ',';
    }

    public function isNegation(): bool
    {
        return $this->type === 'NOT' || $this->type === '-';
    }
}
