<?php

declare(strict_types=1);

namespace App\Models;

/** Whose signals an alert is about. */
enum AlertAbout: string
{
    case Everyone = 'everyone';
    case Mine = 'mine';
    case Known = 'known';
    case List = 'list';
    case Account = 'account';

    public function label(): string
    {
        return match ($this) {
            self::Everyone => 'all accounts that I may approach',
            self::Mine => 'accounts that are mine',
            self::Known => 'people whom I know, reserved or approached',
            self::List => 'a list',
            self::Account => 'one account',
        };
    }
}
