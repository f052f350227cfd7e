<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

/** What somebody does in the buying group of an account (rule 8). Blocker is set by hand only. */
enum Part: string
{
    case SignsOff = 'signs_off';
    case Shapes = 'shapes';
    case Champion = 'champion';
    case User = 'user';
    case NextDoor = 'next_door';
    case Blocker = 'blocker';

    public function label(): string
    {
        return str_replace('_', ' ', $this->value);
    }
}
