<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

/** Whose signals are meant, where a condition is about signals. */
enum Whose: string
{
    /** What happened to the account, and to nobody there in particular. */
    case Account = 'account';

    /** What one of its people did, or had happen to them: among contacts, the contact's own. */
    case Person = 'person';

    public function label(): string
    {
        return match ($this) {
            self::Account => 'of the account',
            self::Person => 'of the person',
        };
    }
}
