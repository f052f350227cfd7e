<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** Several parts of which all, or any, must match. */
final readonly class JoinNode implements Node
{
    /** @param  non-empty-list<Node>  $nodes */
    private function __construct(private array $nodes, private bool $all)
    {
    }

    /** @param  non-empty-list<Node>  $nodes */
    public static function all(array $nodes): Node
    {
        return count($nodes) === 1 ? $nodes[0] : new self($nodes, true);
    }

    /** @param  non-empty-list<Node>  $nodes */
    public static function any(array $nodes): Node
    {
        return count($nodes) === 1 ? $nodes[0] : new self($nodes, false);
    }

    public function matches(string $line): bool
    {
        foreach ($this->nodes as $node) {
            if ($node->matches($line) !== $this->all) {
                return ! $this->all;
            }
        }

        return $this->all;
    }

    public function in(Algebra $algebra): mixed
    {
        $parts = $words = [];
        foreach ($this->nodes as $node) {
            // Words of which any is enough are looked for together, since there may be thousands of them.
            if ($node instanceof WordsNode && ! $this->all) {
                $words[] = $node->needle;
            } else {
                $parts[] = $node->in($algebra);
            }
        }
        if ($words !== []) {
            $parts[] = $algebra->words($words);
        }

        return $this->all ? $algebra->all($parts) : $algebra->any($parts);
    }

    public function inWords(bool $inside): string
    {
        $parts = array_map(static fn (Node $node): string => $node->inWords(true), $this->nodes);
        $text = implode($this->all ? ' and ' : ' or ', $parts);

        return $inside ? "($text)" : $text;
    }
}
