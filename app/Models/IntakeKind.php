<?php

declare(strict_types=1);

namespace App\Models;

/** What the rows of a file are. */
enum IntakeKind: string
{
    case Accounts = 'accounts';
    case Contacts = 'contacts';
    case Customers = 'customers';
    case Signals = 'signals';
    case Relations = 'relations';
    case Checks = 'checks';
    case Reactions = 'reactions';

    /** Accounts come first: the others find theirs by its domain; an address is checked of who is there. */
    public function order(): int
    {
        return (int) array_search(
            $this,
            [
                self::Accounts, self::Customers, self::Contacts, self::Signals, self::Relations, self::Checks,
                self::Reactions,
            ],
            true,
        );
    }
}
