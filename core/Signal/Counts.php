<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** What an offer makes of a kind: it speaks for an account, against it (a drag), or not at all. */
enum Counts: string
{
    case For = 'for';
    case Against = 'against';
    case Ignored = 'ignored';

    public function sign(): int
    {
        return match ($this) {
            self::For => 1,
            self::Against => -1,
            self::Ignored => 0,
        };
    }
}
