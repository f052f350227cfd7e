<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** A text query as a person types or pastes it, ready to be matched and to be read back (rule 11). */
final readonly class Query
{
    /** What makes several lines or parts one query, and not a list of phrases. */
    private const OPERATOR = '~(?:^|[\s(,])(?:AND|OR|NOT)(?=[\s),(]|$)|["“”„«»]|(?:^|[\s(,])-(?=[\p{L}\p{N}.(])|'
        .'\*(?=[\s),]|$)~u';

    /** Between the parts of a list; a comma within parentheses, or within a number, parts nothing. */
    private const PARTS = '~\n|(?:,(?!\d)|(?<!\d),)(?![^()\n]*\))~u';

    /** @param  list<string>  $hints plain sentences on what was read in another way than it might have been meant */
    private function __construct(private Node $root, public array $hints)
    {
    }

    /**
     * A query, or a list of phrases parted by commas or line breaks, of which any is enough.
     *
     * @throws QueryMistake with the position of the mistake, in characters from 0
     */
    public static function parse(string $query): self
    {
        $phrases = self::pasted($query);
        if ($phrases === []) {
            $tokens = Tokens::of($query);

            return new self((new QueryParser($tokens->list))->parse(), $tokens->hints);
        }
        $nodes = $hints = [];
        foreach ($phrases as $phrase) {
            $words = Fold::words($phrase);
            if ($words === []) {
                $hints[] = Tokens::dropped($phrase);
            } else {
                $nodes[] = new WordsNode($words, false);
            }
        }

        return new self(JoinNode::any($nodes ?: throw QueryMistake::empty()), $hints);
    }

    /**
     * The phrases of a list without any operator.
     *
     * @return list<string> none: it is a query
     */
    public static function pasted(string $text): array
    {
        $text = mb_scrub($text);
        if (preg_match(self::OPERATOR, $text) === 1) {
            return [];
        }
        $parts = array_filter(
            array_map(trim(...), preg_split(self::PARTS, $text) ?: []),
            static fn (string $part): bool => $part !== '',
        );

        return count($parts) < 2 ? [] : array_values(array_unique($parts));
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
