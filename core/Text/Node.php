<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** A part of a text query. */
interface Node
{
    /** @param  string  $line folded words as Fold::line makes them */
    public function matches(string $line): bool;

    /**
     * @template T
     *
     * @param  Algebra<T>  $algebra
     * @return T
     */
    public function in(Algebra $algebra): mixed;

    /** @param  bool  $inside whether it stands within another operator, and needs parentheses to be clear */
    public function inWords(bool $inside): string;
}
