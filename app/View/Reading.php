<?php

declare(strict_types=1);

namespace App\View;

use Luftig\Core\Text\Query;
use Luftig\Core\Text\QueryMistake;

/** How a text query is read, told beside the field in which it is typed (rule 11). */
final readonly class Reading
{
    /**
     * @param  string|null  $words  the query in words; null: there is none, or it cannot be read
     * @param  int  $phrases  of a pasted list; 0: it is a query
     * @param  list<string>  $hints
     */
    private function __construct(
        public ?string $words,
        public int $phrases = 0,
        public array $hints = [],
        public ?string $mistake = null,
    ) {
    }

    public static function of(string $text): self
    {
        if (trim($text) === '') {
            return new self(null);
        }
        try {
            $query = Query::parse($text);
        } catch (QueryMistake $mistake) {
            return new self(null, mistake: $mistake->inWords());
        }

        return new self($query->readsAs(), count(Query::pasted($text)), $query->hints);
    }
}
