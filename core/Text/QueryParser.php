<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/**
 * From tight to loose: quotes and parentheses; neighbours and AND; OR; commas and line breaks. A minus or NOT that does
 * not directly follow OR, AND or an opening parenthesis excludes from all of the parentheses it stands in (rule 11).
 */
final class QueryParser
{
    /** So many parentheses may stand inside each other. */
    private const DEEPEST = 60;

    private int $next = 0;

    private int $depth = 0;

    /** @var list<Token> */
    private readonly array $tokens;

    /** @param  list<Token>  $tokens */
    public function __construct(array $tokens)
    {
        $this->tokens = self::betweenTerms($tokens);
    }

    /** @throws QueryMistake */
    public function parse(): Node
    {
        $node = $this->group();
        $stray = $this->peek();
        if ($stray !== null) {
            throw QueryMistake::strayParenthesis($stray->at);
        }

        return $node;
    }

    /** All that stands up to a closing parenthesis or the end. */
    private function group(): Node
    {
        $parts = $excluded = [];
        while (($token = $this->peek()) !== null && $token->type !== ')') {
            if ($token->type === ',') {
                $this->next++;
            } else {
                $part = $this->isPhrase() ? $this->phrase() : $this->alternatives($excluded);
                array_push($parts, ...$part === null ? [] : [$part]);
            }
        }
        $nodes = [...$parts === [] ? [] : [JoinNode::any($parts)], ...$excluded];

        return JoinNode::all($nodes ?: throw QueryMistake::empty());
    }

    /** Whether a part of a list holds no operator. */
    private function isPhrase(): bool
    {
        $isList = ($this->tokens[$this->next - 1]->type ?? '') === ',';
        for ($i = $this->next; isset($this->tokens[$i]) && $this->tokens[$i]->type !== ')'; $i++) {
            if ($this->tokens[$i]->type === ',') {
                return true;
            }
            if ($this->tokens[$i]->isOperator()) {
                return false;
            }
        }

        return $isList;
    }

    private function phrase(): Node
    {
        $words = [];
        while (($token = $this->peek()) !== null && $token->type === 'words') {
            array_push($words, ...$token->words);
            $this->next++;
        }

        return new WordsNode($words ?: throw QueryMistake::empty(), false);
    }

    /**
     * @param  list<Node>  $excluded  from the whole group; more are added
     * @return Node|null null: nothing but what is excluded
     */
    private function alternatives(array &$excluded): ?Node
    {
        $alternatives = [$this->conjunction($excluded)];
        while (($token = $this->peek()) !== null && $token->type === 'OR') {
            $this->operand($token, end($alternatives) !== null);
            $alternatives[] = $this->conjunction($excluded);
        }
        $nodes = array_values(array_filter($alternatives));

        return $nodes === [] ? null : JoinNode::any($nodes);
    }

    /** @param  list<Node>  $excluded */
    private function conjunction(array &$excluded): ?Node
    {
        $nodes = [];
        $begun = false;
        while (($token = $this->peek()) !== null && ! in_array($token->type, ['OR', ')', ','], true)) {
            if ($token->type === 'AND') {
                $this->operand($token, $begun);

                continue;
            }
            if ($token->isNegation() && ! $this->isLocal()) {
                $excluded[] = $this->term();
            } else {
                $nodes[] = $this->term();
            }
            $begun = true;
        }

        return $nodes === [] ? null : JoinNode::all($nodes);
    }

    /** Whether a minus or NOT directly follows what keeps it to its place. */
    private function isLocal(): bool
    {
        return in_array($this->tokens[$this->next - 1]->type ?? '', ['OR', 'AND', '('], true);
    }

    private function term(): Node
    {
        $token = $this->peek() ?? throw QueryMistake::empty();
        $this->next++;

        return match ($token->type) {
            'words' => new WordsNode($token->words ?: throw QueryMistake::empty(), $token->open),
            'NOT', '-' => $this->negated($token),
            '(' => $this->inParentheses($token),
            default => throw QueryMistake::missingOperand($token->type, $token->at),
        };
    }

    private function negated(Token $negation): Node
    {
        $token = $this->peek();
        if ($token === null || ! in_array($token->type, ['words', '(', 'NOT', '-'], true)) {
            throw QueryMistake::missingOperand($negation->type, $negation->at);
        }

        return new NotNode($this->term());
    }

    private function inParentheses(Token $opening): Node
    {
        $token = $this->peek() ?? throw QueryMistake::unclosedParenthesis($opening->at);
        if ($token->type === ')') {
            throw QueryMistake::emptyParentheses($opening->at);
        }
        if (++$this->depth > self::DEEPEST) {
            throw QueryMistake::tooDeep($opening->at);
        }
        $node = $this->group();
        $this->depth--;
        if ($this->peek() === null) {
            throw QueryMistake::unclosedParenthesis($opening->at);
        }
        $this->next++;

        return $node;
    }

    /** Takes AND or OR, which needs a term on both sides. */
    private function operand(Token $operator, bool $hasLeft): void
    {
        $this->next++;
        $after = $this->peek();
        if (! $hasLeft || $after === null || in_array($after->type, [')', 'AND', 'OR', ','], true)) {
            throw QueryMistake::missingOperand($operator->type, $operator->at);
        }
    }

    private function peek(): ?Token
    {
        return $this->tokens[$this->next] ?? null;
    }

    /**
     * Commas and line breaks part alternatives where they stand between terms, and not beside an operator.
     *
     * @param  list<Token>  $tokens
     * @return list<Token>
     */
    private static function betweenTerms(array $tokens): array
    {
        $kept = [];
        foreach ($tokens as $i => $token) {
            $after = $tokens[$i + 1]->type ?? '';
            $before = $kept === [] ? '(' : $kept[count($kept) - 1]->type;
            if (
                $token->type === ','
                && (
                    in_array($before, ['AND', 'OR', 'NOT', '-', '(', ','], true)
                    || in_array($after, ['AND', 'OR', ')', '', ','], true)
                )
            ) {
                continue;
            }
            $kept[] = $token;
        }

        return $kept;
    }
}
