<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;
use Throwable;

/**
 * Which tables were read, and a mark of each that is another one as soon as it was written, as the statements say that
 * go to the database. Two marks that are equal say that nothing was written between them; two that differ, that
 * something may have been.
 */
final class TableMarks
{
    /** The mark of all of them together. */
    public const ALL = 'all';

    /** The mark that changes where rows may have gone that no statement named. */
    public const CASCADE = 'cascade';

    /** With rows of these the database takes others, or unties them, and no statement names those. */
    public const PARENTS = [
        'accounts', 'approaches', 'attributes', 'candidate_companies', 'candidates', 'contacts', 'event_targets',
        'feed_items', 'feeds', 'industry_labels', 'intakes', 'keep_outs', 'lessons', 'lists', 'look_up_runs',
        'look_up_services', 'offers', 'openings', 'reasons', 'rule_sets', 'signals', 'standing_orders', 'tags',
        'technologies', 'users', 'watches',
    ];

    /** What stands in these is of requests and work, and shown nowhere. */
    private const ASIDE = ['cache', 'cache_locks', 'failed_jobs', 'jobs', 'sessions', 'submissions', 'turns'];

    private const NAMED = '/\b(?:from|join|into|update)\s+(?:ignore\s+)?(?:table\s+)?`?(\w+)/i';

    private const WRITES = '/^\s*(?:insert|update|load)\b/i';

    private const TAKES = '/^\s*(?:delete|replace|load data .* replace into)\b/is';

    /** Changes what the tables are. */
    private const MAKES = '/^\s*(?:truncate|alter|create|drop|rename)\b/i';

    private const READS = '/^[\s(]*(?:select|with)\b/i';

    /** What is written is named before that many letters; what follows may be thousands of rows. */
    private const HEAD = 400;

    private const LENGTH = 16;

    /** @var array<string, true> */
    private array $read = [];

    private int $written = 0;

    /** @var array<string, int> how much was written when a mark was last changed */
    private array $marked = [];

    public function heard(QueryExecuted $statement): void
    {
        if (preg_match(self::READS, $statement->sql) === 1) {
            $this->read += array_fill_keys(self::tables($statement->sql), true);
        } else {
            $changed = self::changedBy($statement->sql);
            if ($changed !== []) {
                $this->written++;
                // Until it is, others read what was there before.
                $statement->connection->afterCommit(fn () => $this->change([self::ALL, ...$changed]));
            }
        }
    }

    /** @return list<string> the tables that were read since the program began */
    public function read(): array
    {
        return array_keys($this->read);
    }

    /**
     * @param  list<string>  $tables
     * @return array<string, string>
     */
    public static function of(array $tables): array
    {
        $marks = Cache::many(array_map(self::key(...), $tables));
        $found = [];
        foreach ($tables as $table) {
            $mark = $marks[self::key($table)] ?? null;
            // One that was lost is as good as changed.
            $found[$table] = is_string($mark) ? $mark : self::renew($table);
        }

        return $found;
    }

    /** @param  list<string>  $tables */
    private function change(array $tables): void
    {
        try {
            foreach ($tables as $table) {
                if (($this->marked[$table] ?? 0) !== $this->written) {
                    self::renew($table);
                    $this->marked[$table] = $this->written;
                }
            }
        } catch (Throwable $e) {
            // It is written, whether or not somebody can be told so.
            report($e);
        }
    }

    private static function renew(string $table): string
    {
        Cache::forever(self::key($table), $mark = Str::random(self::LENGTH));

        return $mark;
    }

    private static function key(string $table): string
    {
        return "mark of $table";
    }

    /** @return list<string> marks */
    private static function changedBy(string $sql): array
    {
        if (preg_match(self::MAKES, $sql) === 1) {
            return [self::CASCADE];
        }
        $takes = preg_match(self::TAKES, $sql) === 1;
        if (! $takes && preg_match(self::WRITES, $sql) !== 1) {
            return [];
        }
        $tables = self::tables(substr($sql, 0, self::HEAD));
        if (stripos(ltrim($sql), 'insert') === 0) {
            return array_slice($tables, 0, 1);
        }

        return $takes && array_intersect($tables, self::PARENTS) !== [] ? [self::CASCADE, ...$tables] : $tables;
    }

    /** @return list<string> */
    private static function tables(string $sql): array
    {
        preg_match_all(self::NAMED, $sql, $found);

        return array_values(array_unique(array_diff(array_map(strtolower(...), $found[1]), self::ASIDE)));
    }
}
