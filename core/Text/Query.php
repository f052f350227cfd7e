<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** A text query as a person types it, ready to be matched and to be read back (rule 11). */
final readonly class Query
{
    /** @param  list<string>  $hints plain sentences on what was read in another way than it might have been meant */
    private function __construct(private Node $root, public array $hints)
    {
    }

    /** @throws QueryMistake with the position of the mistake, in characters from 0 */
    public static function parse(string $query): self
    {
        $tokens = Tokens::of($query);

        return new self((new QueryParser($tokens->list))->parse(), $tokens->hints);
    }

    public function matches(string $text): bool
    {
        return $this->root->matches(Fold::line($text));
    }

    /** Against a line made by Fold::line, when many queries meet one text. */
    public function matchesLine(string $line): bool
    {
        return $this->root->matches($line);
    }

    /**
     * @template T
     *
     * @param  Algebra<T>  $algebra
     * @return T
     */
    public function in(Algebra $algebra): mixed
    {
        return $this->root->in($algebra);
    }

    /** The query in words, fully parenthesised where it mixes operators. */
    public function readsAs(): string
    {
        return $this->root->inWords(false);
    }
}
