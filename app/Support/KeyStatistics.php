<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What the database knows of how many rows there are to a key. It counts again by itself, but goes by the old numbers
 * as long as it has a table open, and so would look through half of one that was filled since.
 */
final class KeyStatistics
{
    /** Within a transaction nothing is done, since this would end it. */
    public static function refresh(): void
    {
        if (DB::transactionLevel() > 0) {
            return;
        }
        $tables = array_map(
            fn (string $table): string => "`$table`",
            Schema::getTableListing(DB::getDatabaseName(), schemaQualified: false),
        );
        // Each machine of a cluster keeps numbers of its own.
        DB::select('ANALYZE NO_WRITE_TO_BINLOG TABLE '.implode(', ', $tables));
    }
}
