<?php

declare(strict_types=1);

namespace App\Lists;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The lists, tags and watches in which a record stands: they name it by its number, so that no key of the database
 * takes them along.
 */
final class Belongings
{
    /** table → what of, and where its subject stands (null: in the table itself) */
    private const PLACES = ['taggings' => ['tag_id', null], 'list_members' => ['list_id', 'lists'], 'watch_finds' => [
        'watch_id',
        'watches',
    ]];

    /**
     * From a record to another, as far as that does not stand there already.
     *
     * @param  array<string, list<int>>|null  $only  what was moved before, to move it back
     * @return array<string, list<int>> what moved: table → tags, lists or watches
     */
    public static function move(string $subject, int $from, int $to, ?array $only = null): array
    {
        $moved = [];
        foreach (self::PLACES as $table => [$of, $owners]) {
            $in = fn (int $record): array => self::rows($table, $of, $owners, $subject)->where('record_id', $record)
                ->pluck($of)->all();
            $moved[$table] = array_values(
                array_diff($only === null ? $in($from) : array_intersect($in($from), $only[$table] ?? []), $in($to)),
            );
            self::rows($table, $of, $owners, $subject)->where('record_id', $from)->whereIn($of, $moved[$table])
                ->update(['record_id' => $to]);
        }

        return $moved;
    }

    /** @param  array<int>  $records  that are gone */
    public static function remove(string $subject, array $records): void
    {
        foreach (self::PLACES as $table => [$of, $owners]) {
            self::rows($table, $of, $owners, $subject)->whereIn('record_id', $records)->delete();
        }
    }

    private static function rows(string $table, string $of, ?string $owners, string $subject): Builder
    {
        return $owners === null
            ? DB::table($table)->where('subject', $subject)
            : DB::table($table)->whereIn($of, DB::table($owners)->where('subject', $subject)->select('id'));
    }
}
