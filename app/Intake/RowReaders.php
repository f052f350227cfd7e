<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\IntakeKind;
use App\Support\FileColumn;

/** Which class reads the rows of which kind of file. */
final class RowReaders
{
    private const OF = [
        'accounts' => AccountRows::class,
        'contacts' => ContactRows::class,
        'customers' => CustomerRows::class,
        'signals' => SignalRows::class,
        'relations' => RelationRows::class,
        'checks' => CheckRows::class,
        'reactions' => ReactionRows::class,
    ];

    /**
     * What a kind of file can hold, with all headings by which a column is recognised.
     *
     * @return array<string, FileColumn> by field
     */
    public static function columns(IntakeKind $kind): array
    {
        static $columns = [];

        return $columns[$kind->value] ??= self::withHeadings($kind);
    }

    /** @return array<string, FileColumn> */
    private static function withHeadings(IntakeKind $kind): array
    {
        static $headings = null;
        $headings ??= require __DIR__.'/data/headings.php';
        $columns = self::of($kind)::columns();
        foreach ($headings[$kind->value] ?? [] as $field => $names) {
            $columns[$field] = $columns[$field]->alsoNamed($names);
        }

        return $columns;
    }

    /** @return class-string<RowReader> */
    public static function of(IntakeKind $kind): string
    {
        return self::OF[$kind->value];
    }
}
