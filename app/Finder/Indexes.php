<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Finder\Index;
use Luftig\Core\Finder\Indexer;
use Luftig\Core\Finder\Memory;

/**
 * The index of an offer, derived from the database, which stays the truth. Accounts that changed since it was built are hidden in it
 * and stand in a small index beside it, made for the search; when there are too many of them it is built anew.
 */
final class Indexes
{
    private const MOST_CHANGES = 300;

    private const KEPT = 2;

    /** Seconds that a build may take. */
    private const LONGEST = 600;

    /** Counted up when the fields change; an index of another shape is built anew. */
    private const SHAPE = '2';

    /** @return list<Index> to be asked together */
    public static function of(Offer $offer): array
    {
        [$store, $changed] = self::state($offer);
        if (self::isToBeBuilt($store, $changed)) {
            self::renew($offer);
            [$store, $changed] = self::state($offer);
        }
        $store ??= new Memory([]);
        if ($changed === []) {
            return [new Index($store)];
        }

        return [new Index($store, (new Index($store))->pagesOf($changed)), new Index(new Memory(self::pieces($offer, $changed)))];
    }

    /** Builds the index where there is none, or where too much changed; of several who want it at once, one does it. */
    public static function renew(Offer $offer): void
    {
        Cache::lock('finder-'.DB::getDatabaseName().'-'.$offer->id, self::LONGEST)->block(self::LONGEST, function () use ($offer): void {
            if (self::isToBeBuilt(...self::state($offer))) {
                self::build($offer);
            }
        });
    }

    /** @param  list<int>  $changed */
    private static function isToBeBuilt(?FileStore $store, array $changed): bool
    {
        return $store === null || count($changed) > self::MOST_CHANGES;
    }

    /** @return array{FileStore|null, list<int>} the newest whole index, and accounts that changed since */
    private static function state(Offer $offer): array
    {
        [$store, $built] = self::newest($offer);

        return [$store, $built === null ? [] : array_values(DB::table('finder_changes')->where('changed_at', '>=', $built)->orderBy('account_id')->limit(self::MOST_CHANGES + 1)->pluck('account_id')->all())];
    }

    public static function build(Offer $offer): void
    {
        $begun = Carbon::now()->format('Y-m-d H:i:s.u');
        // Millions of rows hold no cycle to be found; looking for some takes a tenth of the time.
        gc_disable();
        FileStore::write(self::folder($offer).'/'.hrtime(true), self::pieces($offer, null) + ['built' => $begun, 'shape' => self::SHAPE]);
        gc_enable();
        DB::table('finder_changes')->where('changed_at', '<', DB::raw("'$begun' - INTERVAL 1 DAY"))->delete();
        foreach (array_slice(self::generations($offer), self::KEPT) as $old) {
            array_map(unlink(...), glob("$old/*") ?: []);
            @rmdir($old);
        }
    }

    /** @param  array<int>  $accounts  computed just now */
    public static function changed(array $accounts): void
    {
        $now = Carbon::now()->format('Y-m-d H:i:s.u');
        foreach (array_chunk($accounts, 1000) as $ids) {
            DB::table('finder_changes')->upsert(array_map(fn (int $id): array => ['account_id' => $id, 'changed_at' => $now], $ids), ['account_id'], ['changed_at']);
        }
    }

    /** All of an offer is to be built anew at the next search, as after every account was computed. */
    public static function forget(): void
    {
        array_map(unlink(...), glob(self::root().'/*/*/table.php') ?: []);
    }

    /**
     * @param  list<int>|null  $accounts
     * @return array<string, string>
     */
    private static function pieces(Offer $offer, ?array $accounts): array
    {
        $records = new Records($offer);
        $sizes = $records->sizes($accounts);
        $indexer = new Indexer($sizes);
        foreach ($records->read(array_keys($sizes)) as $record) {
            $indexer->add($record);
        }

        return $indexer->pieces();
    }

    /** @return array{FileStore|null, string|null} the newest whole index, and when it was begun */
    private static function newest(Offer $offer): array
    {
        foreach (self::generations($offer) as $folder) {
            $store = FileStore::open($folder);
            if ($store?->get('shape') === self::SHAPE) {
                return [$store, $store->get('built')];
            }
        }

        return [null, null];
    }

    /** @return list<string> the newest first */
    private static function generations(Offer $offer): array
    {
        $folders = glob(self::folder($offer).'/*', GLOB_ONLYDIR) ?: [];
        usort($folders, fn (string $a, string $b): int => filemtime($b) <=> filemtime($a) ?: strnatcmp($b, $a));

        return $folders;
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
