<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use App\Support\Folder;
use App\Support\Workers;
use DateTimeImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Luftig\Core\Index\Index;
use Luftig\Core\Index\Indexer;
use Luftig\Core\Index\Memory;
use Luftig\Core\Index\Record;
use RuntimeException;

/**
 * The index of an offer, derived from the database, which stays the truth. Accounts that changed since it was built are
 * hidden in it and stand in small ones beside it (Patches); when there are many of them it is built anew.
 */
final class Indexes
{
    /** With more changes it is built anew in the background. */
    private const MANY_CHANGES = 300;

    /** With more a search waits for that, since patches would cost as much. */
    private const MOST_CHANGES = 3000;

    private const KEPT = 2;

    /** An index has as many parts as there are processes to build it, each of a stretch of the accounts. */
    private const WORKERS = 2;

    /** With fewer accounts than this one process is quicker than two. */
    private const ALONE = 5000;

    /** Counted up when the fields change; an index of another shape is built anew. */
    private const SHAPE = '9';

    /** @return list<Index> to be asked together */
    public static function of(Offer $offer): array
    {
        [$stores, $changed, $folder] = self::state($offer);
        if ($stores === [] || count($changed) > self::MOST_CHANGES) {
            self::renew($offer);
            [$stores, $changed, $folder] = self::state($offer);
        }

        return $stores === [] ? [new Index(new Memory([]))] : (new Patches($offer, $folder))->over($stores, $changed);
    }

    /** Builds the index where there is none, or where too much changed; of several who want it at once, one does it. */
    public static function renew(Offer $offer): void
    {
        Folder::make(self::folder($offer));
        // A lock that a process takes with it when it dies, so that nobody waits for one that is gone.
        $lock = fopen(self::folder($offer).'/lock', 'cb')
            ?: throw new RuntimeException('The folder of the index cannot be written.');
        flock($lock, LOCK_EX);
        try {
            [$stores, $changed] = self::state($offer);
            if ($stores === [] || count($changed) > self::MANY_CHANGES) {
                self::build($offer);
            }
        } finally {
            fclose($lock);
        }
    }

    /**
     * @return array{list<FileStore>, array<int, string>, string} the parts of the newest whole index, accounts that
     *     changed since it was begun, with when they last did, and its folder
     */
    private static function state(Offer $offer): array
    {
        $generation = self::generation();
        foreach (self::generations($offer) as $folder) {
            $stores = self::parts($folder, $generation);
            if ($stores !== []) {
                return [
                    $stores,
                    DB::table('finder_changes')->where('changed_at', '>=', $stores[0]->get('built'))
                        ->orderBy('account_id')->limit(self::MOST_CHANGES + 1)->pluck('changed_at', 'account_id')
                        ->all(),
                    $folder,
                ];
            }
        }

        return [[], [], ''];
    }

    /** Changes with every fact of an account that is computed anew. */
    public static function stamp(Offer $offer): string
    {
        [$stores] = self::state($offer);

        // Between an index that is forgotten and the next there is none, more than once: the generations differ.
        return ($stores === [] ? self::generation() : $stores[0]->get('generation').' '.$stores[0]->get('built')).' '
            .DB::scalar("SELECT CONCAT_WS(' ', COUNT(*), MAX(changed_at)) FROM finder_changes");
    }

    public static function build(Offer $offer): void
    {
        // First the number, so that what is forgotten while it is built is built anew.
        $generation = self::generation();
        $begun = self::moment();
        $folder = self::folder($offer).'/'.hrtime(true);
        $accounts = array_values(DB::table('accounts')->whereNull('merged_into')->orderBy('id')->pluck('id')->all());
        $work = function (int $worker, int $of) use ($offer, $folder, $generation, $begun, $accounts): void {
            // Millions of rows hold no cycle to be found; looking for some takes a tenth of the time.
            gc_disable();
            $from = intdiv($worker * count($accounts), $of);
            $own = array_slice($accounts, $from, intdiv(($worker + 1) * count($accounts), $of) - $from);
            FileStore::write("$folder/$worker", (function () use ($offer, $own, $generation, $begun, $of): Generator {
                yield from ['built' => $begun, 'shape' => self::SHAPE, 'parts' => (string) $of,
                    'generation' => $generation];
                $records = new Records($offer);
                $pages = $records->pages($own);
                yield from self::pieces(new Indexer($pages), $records->read(array_keys($pages)));
            })());
            gc_enable();
        };
        count($accounts) < self::ALONE || ! Workers::areToBeHad() ? $work(0, 1) : Workers::share(self::WORKERS, $work);
        DB::table('finder_changes')->where('changed_at', '<', DB::raw("'$begun' - INTERVAL 1 DAY"))->delete();
        foreach (array_slice(self::generations($offer), self::KEPT) as $old) {
            File::deleteDirectory($old);
        }
    }

    /** @param  array<int>  $accounts  computed just now */
    public static function changed(array $accounts): void
    {
        $now = self::moment();
        foreach (array_chunk($accounts, 1000) as $ids) {
            DB::statement(
                'INSERT INTO finder_changes (account_id, changed_at) VALUES '
                    .implode(', ', array_map(fn (int $id): string => "($id, '$now')", $ids))
                    .' ON DUPLICATE KEY UPDATE changed_at = VALUES(changed_at)',
            );
        }
        // When the answer has gone out, so that nobody waits for it, neither now nor at the next search.
        defer(self::patch(...), self::class);
    }

    /** Reads what changed, where it is little; for more there is renew(). */
    public static function patch(): void
    {
        foreach (Offer::query()->get() as $offer) {
            [$stores, $changed, $folder] = self::state($offer);
            if ($stores !== [] && count($changed) <= self::MANY_CHANGES) {
                (new Patches($offer, $folder))->over($stores, $changed);
            }
        }
    }

    /** All is to be built anew at the next search, on every machine, as after every account was computed. */
    public static function forget(): void
    {
        // None that was there before, not even in a base that was put back.
        DB::table('finder_generation')->updateOrInsert(['id' => 1], ['number' => random_int(1, PHP_INT_MAX)]);
    }

    private static function generation(): string
    {
        return (string) DB::table('finder_generation')->value('number');
    }

    /**
     * @param  iterable<Record>  $records
     * @return Generator<string, string>
     */
    public static function pieces(Indexer $indexer, iterable $records): Generator
    {
        foreach ($records as $record) {
            $indexer->add($record);
        }
        yield from $indexer->pieces();
    }

    /** @return list<FileStore> none: the index is torn, of another shape, or behind */
    private static function parts(string $folder, string $generation): array
    {
        $first = FileStore::open("$folder/0");
        if ($first?->get('shape') !== self::SHAPE || $first->get('generation') !== $generation) {
            return [];
        }
        $parts = [];
        for ($i = 0, $of = (int) $first->get('parts'); $i < $of; $i++) {
            $part = FileStore::open("$folder/$i");
            if ($part === null) {
                return [];
            }
            $parts[] = $part;
        }

        return $parts;
    }

    /** @return list<string> the newest first */
    private static function generations(Offer $offer): array
    {
        $folders = glob(self::folder($offer).'/*', GLOB_ONLYDIR) ?: [];
        usort($folders, fn (string $a, string $b): int => filemtime($b) <=> filemtime($a) ?: strnatcmp($b, $a));

        return $folders;
    }

    /** By the clock of the machine, which never stands still: one change is told from the next by it. */
    private static function moment(): string
    {
        return (new DateTimeImmutable)->format('Y-m-d H:i:s.u');
    }

    private static function folder(Offer $offer): string
    {
        return self::root().'/'.$offer->id;
    }

    private static function root(): string
    {
        return config('luftig.finder').'/'.DB::getDatabaseName();
    }
}
