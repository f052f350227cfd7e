<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/** What on a page, or beside it, shows a technology; how sure that is by rule 24. */
enum Shown: string
{
    case Script = 'script';
    case Header = 'header';
    case Meta = 'meta';
    case Cookie = 'cookie';
    case Text = 'text';
    case Posting = 'posting';

    public function confidence(): float
    {
        return match ($this) {
            self::Script, self::Header, self::Meta => .9,
            self::Cookie => .8,
            self::Posting => .6,
            self::Text => .5,
        };
    }
}
