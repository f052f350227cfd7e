<?php

declare(strict_types=1);

namespace App\Archive;

use Illuminate\Support\Facades\DB;

/** What of the base is the team's own: all of it but what is derived, what passes, and what is secret. */
final class Tables
{
    /** Derived from the rest, reference data that ships, or of this machine and this moment only. */
    private const NOT = [
        'standings', 'recognised', 'finder_changes', 'finder_generation', 'cities', 'migrations', 'sessions', 'jobs',
        'failed_jobs', 'cache',
        'cache_locks', 'submissions', 'turns',
        'event_deliveries', 'pasted', 'personal_access_tokens', 'private_addresses',
    ];

    /** What opens a door; whoever brings an archive in sets it anew. */
    private const SECRET = [
        'users' => ['password', 'password_until', 'remember_token', 'second_factor', 'second_factor_step',
            'second_factor_at', 'recovery_codes'],
        'look_up_services' => ['secret'],
        'event_targets' => ['secret'],
        'accounts' => ['stale'],
    ];

    private const WHOLE = ['bigint', 'int', 'mediumint', 'smallint', 'tinyint'];

    private const BINARY = ['blob', 'mediumblob', 'longblob', 'binary', 'varbinary'];

    /** @return array<string, array<string, string>> table → column → string, integer, number or base64 */
    public static function all(): array
    {
        $tables = [];
        foreach (
            DB::select('SELECT c.TABLE_NAME AS t, c.COLUMN_NAME AS c, c.DATA_TYPE AS type FROM '
                .'information_schema.COLUMNS c JOIN information_schema.TABLES t ON t.TABLE_SCHEMA = c.TABLE_SCHEMA AND '
                ."t.TABLE_NAME = c.TABLE_NAME AND t.TABLE_TYPE = 'BASE TABLE' WHERE c.TABLE_SCHEMA = DATABASE() AND "
                ."c.IS_GENERATED = 'NEVER' "
                .'ORDER BY c.TABLE_NAME, c.ORDINAL_POSITION') as $column
        ) {
            if (
                ! in_array($column->t, self::NOT, true) && ! in_array($column->c, self::SECRET[$column->t] ?? [], true)
            ) {
                $tables[$column->t][$column->c] = match (true) {
                    in_array($column->type, self::WHOLE, true) => 'integer',
                    in_array($column->type, ['double', 'float', 'decimal'], true) => 'number',
                    in_array($column->type, self::BINARY, true) => 'base64',
                    default => 'string',
                };
            }
        }

        return $tables;
    }

    /**
     * By which its rows are in one order: the primary key, else all columns.
     *
     * @param  array<string, string>  $columns
     */
    public static function order(string $table, array $columns): string
    {
        $key = DB::select(
            'SELECT COLUMN_NAME AS c FROM information_schema.KEY_COLUMN_USAGE WHERE TABLE_SCHEMA = DATABASE() AND '
                ."TABLE_NAME = ? AND CONSTRAINT_NAME = 'PRIMARY' ORDER BY ORDINAL_POSITION",
            [$table],
        );

        return '`'.implode('`, `', $key === [] ? array_keys($columns) : array_column($key, 'c')).'`';
    }

    /** The newest change of the base, which both sides must share. */
    public static function version(): string
    {
        return (string) DB::table('migrations')->orderByDesc('id')->value('migration');
    }
}
