<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Text\Query;

/** A text query on the words an account uses of itself (rule 11). */
final readonly class Says implements Question
{
    public function __construct(public Query $query)
    {
    }

    public function membership(AccountFacts $account, bool $gate): ?float
    {
        $line = $account->line();

        return $line === null ? null : (float) $this->query->matchesLine($line);
    }
}
