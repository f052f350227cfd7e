<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** A word or a phrase, perhaps open at its end. */
final readonly class WordsNode implements Node
{
    /** As it stands in a line of Fold::line. */
    public string $needle;

    /** @param  non-empty-list<string>  $words folded */
    public function __construct(private array $words, private bool $open)
    {
        $this->needle = ' '.implode(' ', $words).($open ? '' : ' ');
    }

    public function matches(string $line): bool
    {
        return str_contains($line, $this->needle);
    }

    public function in(Algebra $algebra): mixed
    {
        return $algebra->words([$this->needle]);
    }

    public function inWords(bool $inside): string
    {
        $text = implode(' ', $this->words).($this->open ? '…' : '');

        return count($this->words) > 1 ? "“{$text}”" : $text;
    }
}
