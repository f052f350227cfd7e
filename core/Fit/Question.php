<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

/** The question of a criterion. */
interface Question
{
    /**
     * @param  bool  $gate  gates are hard: what is outside is outside
     * @return float|null membership 0–1, null where the fact is unknown
     */
    public function membership(AccountFacts $account, bool $gate): ?float;
}
