<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\IntakeKind;

/** Which class reads the rows of which kind of file. */
final class RowReaders
{
    private const OF = [
        'accounts' => AccountRows::class,
        'contacts' => ContactRows::class,
        'customers' => CustomerRows::class,
        'signals' => SignalRows::class,
        'relations' => RelationRows::class,
    ];

    /** @return class-string<RowReader> */
    public static function of(IntakeKind $kind): string
    {
        return self::OF[$kind->value];
    }
}
