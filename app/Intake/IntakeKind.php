<?php

declare(strict_types=1);

namespace App\Intake;

/** What the rows of a file are. */
enum IntakeKind: string
{
    case Accounts = 'accounts';
    case Contacts = 'contacts';
    case Customers = 'customers';
    case Signals = 'signals';
    case Relations = 'relations';

    /** @return class-string<Rows> */
    public function rows(): string
    {
        return match ($this) {
            self::Accounts => AccountRows::class,
            self::Contacts => ContactRows::class,
            self::Customers => CustomerRows::class,
            self::Signals => SignalRows::class,
            self::Relations => RelationRows::class,
        };
    }
}
