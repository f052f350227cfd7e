<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

use Luftig\Core\Mistake;

/** A text query that cannot be read; `at` is the character, from 0. */
final class QueryMistake extends Mistake
{
    public static function empty(): self
    {
        return self::at(0, 'The query is empty: give at least one word.');
    }

    public static function unclosedQuote(int $at): self
    {
        return self::at($at, 'A phrase opens here and its closing quote is missing.');
    }

    public static function unclosedParenthesis(int $at): self
    {
        return self::at($at, 'A parenthesis opens here and is not closed.');
    }

    public static function strayParenthesis(int $at): self
    {
        return self::at($at, 'This parenthesis closes nothing.');
    }

    public static function emptyParentheses(int $at): self
    {
        return self::at($at, 'There is nothing between these parentheses.');
    }

    public static function tooDeep(int $at): self
    {
        return self::at($at, 'So many parentheses inside each other cannot be read.');
    }

    public static function missingOperand(string $operator, int $at): self
    {
        return self::at($at, $operator === 'NOT' || $operator === '-'
            ? "A word or phrase must follow this $operator."
            : "$operator needs a word or phrase on both sides.");
    }
}
