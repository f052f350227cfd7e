<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** A piece of a text query with its place. */
final readonly class Token
{
    /**
     * @param  'words'|'AND'|'OR'|'NOT'|'-'|'('|')'  $type
     * @param  int  $at  character from 0
     * @param  list<string>  $words  folded, for `words`
     */
    public function __construct(public string $type, public int $at, public array $words = [], public bool $open = false)
    {
    }
}
