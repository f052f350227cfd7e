<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Rules\Input;
use Luftig\Core\Text\Query;

/** Rule 11. */
final class MatchOperation implements Operation
{
    public static function name(): string
    {
        return 'match';
    }

    public static function summary(): string
    {
        return 'Whether a text query matches a text, and how the query is read.';
    }

    public static function fields(): array
    {
        return [
            'query' => 'terms, "phrases", AND, OR, NOT, a leading minus, parentheses, a trailing *',
            'text' => 'text',
        ];
    }

    public static function example(): array
    {
        return ['query' => 'operations OR "cold store" -assistant', 'text' => 'Head of Operations'];
    }

    public static function answer(Input $input): array
    {
        $text = $input->string('text');
        $query = Query::parse($input->string('query'));
        $input->done();

        return ['matches' => $query->matches($text), 'reads_as' => $query->readsAs(), 'hints' => $query->hints];
    }
}
