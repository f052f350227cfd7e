<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

final readonly class NotNode implements Node
{
    public function __construct(private Node $node)
    {
    }

    public function matches(string $line): bool
    {
        return ! $this->node->matches($line);
    }

    public function in(Algebra $algebra): mixed
    {
        return $algebra->not($this->node->in($algebra));
    }

    public function inWords(bool $inside): string
    {
        return 'not '.$this->node->inWords(true);
    }
}
