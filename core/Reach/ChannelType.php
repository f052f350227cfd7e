<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/** A way to reach a contact (rule 5). */
enum ChannelType: string
{
    case Email = 'email';
    case DirectPhone = 'direct_phone';
    case Switchboard = 'switchboard';
    case Asked = 'asked';
    case Social = 'social';

    public function worth(): float
    {
        return match ($this) {
            self::Email => .6,
            self::DirectPhone => .5,
            self::Switchboard => .1,
            self::Asked => .3,
            self::Social => .2,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Email => 'e-mail',
            self::DirectPhone => 'direct phone',
            self::Switchboard => 'switchboard',
            self::Asked => 'asked to be contacted',
            self::Social => 'social',
        };
    }
}
