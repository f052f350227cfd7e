<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

/** What a criterion of a target profile does: two kinds of gate, and a weighted wish (rule 4). */
enum Mode: string
{
    case Must = 'must';
    case MustNot = 'must_not';
    case Prefer = 'prefer';
}
