<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/**
 * What a query can be worked out in beside true and false, such as sets of the texts that it finds.
 *
 * @template T
 */
interface Algebra
{
    /**
     * @param  non-empty-list<string>  $needles  of which any is enough: folded words with a space before, between, and
     *     after unless they are open at their end; it stands in a line of Fold::line that has them
     * @return T
     */
    public function words(array $needles): mixed;

    /**
     * @param  list<T>  $parts
     * @return T
     */
    public function all(array $parts): mixed;

    /**
     * @param  list<T>  $parts
     * @return T
     */
    public function any(array $parts): mixed;

    /**
     * @param  T  $part
     * @return T
     */
    public function not(mixed $part): mixed;
}
