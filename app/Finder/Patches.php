<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use Luftig\Core\Index\Bitmap;
use Luftig\Core\Index\Index;
use Luftig\Core\Index\Indexer;
use Luftig\Core\Index\Memory;
use Luftig\Core\Index\Record;
use Luftig\Core\Index\Store;

/**
 * Small indexes beside the large one, of accounts that changed since it was built. Each is made once, of what changed
 * since the one before; in an older one, and in the large one, what changed later is hidden. One that is no larger than
 * what is new is made anew with it, so that they stay few and an account is worked on a few times only (Bentley and
 * Saxe 1980).
 */
final readonly class Patches
{
    /** So many accounts are held in memory, and kept as they were read. */
    private const AT_ONCE = 200;

    /** @param  string  $folder  of the large index */
    public function __construct(private Offer $offer, private string $folder)
    {
    }

    /**
     * @param  list<Store>  $stores  the large index
     * @param  array<int, string>  $changed  account → when it last did
     * @return list<Index> to be asked together
     */
    public function over(array $stores, array $changed): array
    {
        $patches = $changed === [] ? [] : $this->current($stores, $changed);
        $small = [];
        $later = [];
        foreach (array_reverse($patches) as [$store, $accounts]) {
            $again = array_keys(array_intersect_key($accounts, $later));
            $small[] = new Index($store, $again === [] ? null : (new Index($store))->pagesOf($again));
            $later += $accounts;
        }
        $large = [];
        foreach ($stores as $i => $store) {
            $hidden = array_map(
                static fn (array $patch): Bitmap => Bitmap::ofBytes($patch[0]->get("hidden#$i") ?? ''),
                $patches,
            );
            $large[] = new Index(
                $store,
                $hidden === [] ? null : array_reduce(
                    $hidden,
                    static fn (Bitmap $all, Bitmap $some): Bitmap => $all->or($some),
                    Bitmap::none(),
                ),
            );
        }

        return [...$large, ...$small];
    }

    /**
     * @param  list<Store>  $stores  the large index
     * @param  array<int, string>  $changed
     * @return list<array{Memory, array<int, string>}> the oldest first; together they hold all that changed, as it is
     *     now
     */
    private function current(array $stores, array $changed): array
    {
        $patches = $this->there();
        $known = array_replace([], ...array_column($patches, 1));
        $fresh = array_diff_assoc($changed, $known);
        if ($fresh === []) {
            return array_values($patches);
        }
        $next = $since = 1 + max([0, ...array_keys($patches)]);
        $accounts = $fresh;
        $read = [];
        while ($patches !== [] && count($patches[array_key_last($patches)][1]) <= count($accounts)) {
            $since = array_key_last($patches);
            $accounts += array_intersect_key($changed, array_pop($patches)[1]);
            $read += $this->kept($since);
        }
        ksort($accounts);

        return [
            ...array_values($patches),
            $this->make(
                $stores, $next, $since, $accounts, array_diff_key(array_intersect_key($read, $accounts), $fresh),
            ),
        ];
    }

    /**
     * @return array<int, array{Memory, array<int, string>}> by number, the oldest first; those without for which a
     *     newer one stands
     */
    private function there(): array
    {
        $files = [];
        foreach (glob("{$this->folder}/patch-*") ?: [] as $file) {
            $files[(int) substr(strrchr($file, '-') ?: '', 1)] = $file;
        }
        krsort($files);
        $patches = [];
        $since = PHP_INT_MAX;
        foreach ($files as $number => $file) {
            // A whole file or none, since it is renamed into its place; another process may just have taken it away.
            $pieces = $number < $since
                ? @unserialize((string) @file_get_contents($file), ['allowed_classes' => false])
                : null;
            if (is_array($pieces)) {
                $patches[$number] = [
                    new Memory($pieces),
                    json_decode($pieces['changed'], true, flags: JSON_THROW_ON_ERROR),
                ];
                $since = (int) $pieces['since'];
            }
        }

        return array_reverse($patches, true);
    }

    /**
     * @param  list<Store>  $stores  in which pages are hidden; which is looked up once, and kept
     * @param  int  $since  number of the oldest for which it stands
     * @param  array<int, string>  $accounts  ascending
     * @param  array<int, Record>  $read  by account, as far as they did not change since
     * @return array{Memory, array<int, string>}
     */
    private function make(array $stores, int $number, int $since, array $accounts, array $read): array
    {
        $records = new Records($this->offer);
        $ids = array_keys($accounts);
        $made = "{$this->folder}/made-".getmypid().'-'.hrtime(true);
        if (count($ids) > self::AT_ONCE) {
            $pages = $records->pages($ids);
            $read = $records->read(array_keys($pages));
        } else {
            foreach ($records->read(array_keys(array_diff_key($accounts, $read))) as $record) {
                $read[$record->id] = $record;
            }
            ksort($read);
            file_put_contents("$made-records", serialize($read));
            // What is read is counted, which saves asking.
            $pages = array_map(
                Indexer::pagesOf(...),
                $read,
            );
        }
        $pieces = ['changed' => json_encode($accounts, JSON_THROW_ON_ERROR), 'since' => (string) $since]
            + iterator_to_array(Indexes::pieces(new Indexer($pages), $read));
        foreach ($stores as $i => $store) {
            $pieces["hidden#$i"] = (new Index($store))->pagesOf($ids)->bytes();
        }
        file_put_contents($made, serialize($pieces));
        // Of two who make it at once, the first is kept; the other uses its own for this once.
        $isKept = @link($made, "{$this->folder}/patch-$number");
        unlink($made);
        if ($isKept) {
            @rename("$made-records", "{$this->folder}/records-$number");
        } else {
            @unlink("$made-records");
        }
        for ($old = $since; $isKept && $old < $number; $old++) {
            @unlink("{$this->folder}/patch-$old");
            @unlink("{$this->folder}/records-$old");
        }

        return [new Memory($pieces), $accounts];
    }

    /** @return array<int, Record> by account; none where there are too many, or another process just took them away */
    private function kept(int $number): array
    {
        $records = @unserialize(
            (string) @file_get_contents("{$this->folder}/records-$number"),
            ['allowed_classes' => [Record::class]],
        );

        return is_array($records) ? $records : [];
    }
}
