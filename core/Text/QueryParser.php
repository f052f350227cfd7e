<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** From tight to loose: NOT and minus, AND, OR, neighbours (which all must match). */
final class QueryParser
{
    private int $next = 0;

    /** @param  list<Token>  $tokens */
    public function __construct(private readonly array $tokens)
    {
    }

    /** @throws QueryMistake */
    public function parse(): Node
    {
        if ($this->tokens === []) {
            throw QueryMistake::empty();
        }
        $node = $this->neighbours();
        $stray = $this->peek();
        if ($stray !== null) {
            throw QueryMistake::strayParenthesis($stray->at);
        }

        return $node;
    }

    private function neighbours(): Node
    {
        $nodes = [$this->alternatives()];
        while (($token = $this->peek()) !== null && $token->type !== ')') {
            $nodes[] = $this->alternatives();
        }

        return JoinNode::all($nodes);
    }

    private function alternatives(): Node
    {
        $nodes = [$this->conjunction()];
        while ($this->takeOperator('OR')) {
            $nodes[] = $this->conjunction();
        }

        return JoinNode::any($nodes);
    }

    private function conjunction(): Node
    {
        $nodes = [$this->term()];
        while ($this->takeOperator('AND')) {
            $nodes[] = $this->term();
        }

        return JoinNode::all($nodes);
    }

    private function term(): Node
    {
        $token = $this->peek() ?? throw QueryMistake::empty();
        $this->next++;

        return match ($token->type) {
            'words' => new WordsNode($token->words ?: throw QueryMistake::empty(), $token->open),
            'NOT', '-' => new NotNode($this->operand($token)),
            '(' => $this->group($token),
            ')' => throw QueryMistake::strayParenthesis($token->at),
            'AND', 'OR' => throw QueryMistake::missingOperand($token->type, $token->at),
        };
    }

    private function operand(Token $operator): Node
    {
        $token = $this->peek();
        if ($token === null || in_array($token->type, [')', 'AND', 'OR'], true)) {
            throw QueryMistake::missingOperand($operator->type, $operator->at);
        }

        return $this->term();
    }

    private function group(Token $opening): Node
    {
        $token = $this->peek() ?? throw QueryMistake::unclosedParenthesis($opening->at);
        if ($token->type === ')') {
            throw QueryMistake::emptyParentheses($opening->at);
        }
        $node = $this->neighbours();
        if (! isset($this->tokens[$this->next])) {
            throw QueryMistake::unclosedParenthesis($opening->at);
        }
        $this->next++;

        return $node;
    }

    private function takeOperator(string $type): bool
    {
        $token = $this->peek();
        if ($token === null || $token->type !== $type) {
            return false;
        }
        $this->next++;
        $after = $this->peek();
        if ($after === null || in_array($after->type, [')', 'AND', 'OR'], true)) {
            throw QueryMistake::missingOperand($type, $token->at);
        }

        return true;
    }

    private function peek(): ?Token
    {
        return $this->tokens[$this->next] ?? null;
    }
}
