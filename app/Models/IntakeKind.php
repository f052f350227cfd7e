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
}
