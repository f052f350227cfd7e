<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use Illuminate\Support\Facades\File;
use Luftig\Core\Finder\Index;
use Luftig\Core\Finder\Indexer;
use Luftig\Core\Finder\Record;
use Luftig\Core\Finder\Store;
use RuntimeException;

/**
 * Small indexes beside the large one, of accounts that changed since it was built. Each is made once, by the first search after a
 * change, of what changed since the one before; in an older one, and in the large one, what changed later is hidden.
 */
final readonly class Patches
{
    /** With so many of them the next is made of all that changed, and stands for them. */
    private const MOST = 4;

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
        $patches = $changed === [] ? [] : $this->current($changed);
        $indexes = [];
        $hidden = [];
        foreach (array_reverse($patches) as [$store, $accounts]) {
            $indexes[] = self::without($store, $hidden);
            $hidden += $accounts;
        }

        return [...array_map(fn (Store $store): Index => self::without($store, $hidden), $stores), ...$indexes];
    }

    /** @param  array<int, mixed>  $hidden  by account */
    private static function without(Store $store, array $hidden): Index
    {
        return new Index($store, $hidden === [] ? null : (new Index($store))->pagesOf(array_keys($hidden)));
    }

    /**
     * @param  array<int, string>  $changed
     * @return list<array{FileStore, array<int, string>}> the oldest first; together they hold all that changed, as it is now
     */
    private function current(array $changed): array
    {
        $patches = $this->there();
        $known = array_replace([], ...array_column($patches, 1));
        $fresh = array_diff_assoc($changed, $known);
        if ($fresh === []) {
            return array_values($patches);
        }
        $next = 1 + max([0, ...array_keys($patches)]);
        $whole = count($patches) >= self::MOST;
        $patch = $this->make($next, $whole ? $changed : $fresh, $whole);

        return $whole ? [$patch] : [...array_values($patches), $patch];
    }

    /** @return array<int, array{FileStore, array<int, string>}> by number, from the last one on that was made of all */
    private function there(): array
    {
        $patches = [];
        foreach (glob("{$this->folder}/patch-*") ?: [] as $folder) {
            $store = FileStore::open($folder);
            if ($store !== null) {
                $patches[(int) substr(strrchr($folder, '-') ?: '', 1)] = [$store, json_decode($store->get('changed') ?? '[]', true, flags: JSON_THROW_ON_ERROR), $store->get('whole') === '1'];
            }
        }
        ksort($patches);
        foreach (array_reverse($patches, true) as $number => [, , $whole]) {
            if ($whole) {
                $patches = array_filter($patches, fn (int $one): bool => $one >= $number, ARRAY_FILTER_USE_KEY);
                break;
            }
        }

        return array_map(fn (array $patch): array => [$patch[0], $patch[1]], $patches);
    }

    /**
     * @param  array<int, string>  $accounts
     * @param  bool  $whole  they are all that changed
     * @return array{FileStore, array<int, string>}
     */
    private function make(int $number, array $accounts, bool $whole): array
    {
        $folder = "{$this->folder}/patch-$number";
        $made = "{$this->folder}/made-".getmypid().'-'.hrtime(true);
        $records = iterator_to_array((new Records($this->offer))->read(array_keys($accounts)), false);
        $indexer = new Indexer(array_map(fn (Record $account): int => Indexer::pagesFor(count($account->contacts), count($account->parts ?? [])), $records));
        FileStore::write($made, ['changed' => json_encode($accounts, JSON_THROW_ON_ERROR), 'whole' => $whole ? '1' : '0'] + iterator_to_array(Indexes::pieces($indexer, $records)));
        // Of two who make it at once, one is first; the other keeps its own for this once.
        $store = @rename($made, $folder) ? FileStore::open($folder) : FileStore::open($made);
        if ($store === null) {
            throw new RuntimeException('The patch of the index cannot be read.');
        }
        is_dir($made) && File::deleteDirectory($made);
        if ($whole) {
            foreach (glob("{$this->folder}/patch-*") ?: [] as $old) {
                (int) substr(strrchr($old, '-') ?: '', 1) < $number && File::deleteDirectory($old);
            }
        }

        return [$store, $accounts];
    }
}
