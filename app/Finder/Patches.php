<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use Luftig\Core\Finder\Index;
use Luftig\Core\Finder\Indexer;
use Luftig\Core\Finder\Memory;
use Luftig\Core\Finder\Record;
use Luftig\Core\Finder\Store;

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
     * @return list<array{Memory, array<int, string>}> the oldest first; together they hold all that changed, as it is now
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

    /** @return array<int, array{Memory, array<int, string>}> by number, from the last one on that was made of all */
    private function there(): array
    {
        $patches = [];
        $whole = 0;
        foreach (glob("{$this->folder}/patch-*") ?: [] as $file) {
            // A whole file or none, since it is renamed into its place; another process may just have taken it away.
            $pieces = @unserialize((string) @file_get_contents($file), ['allowed_classes' => false]);
            if (is_array($pieces)) {
                $number = (int) substr(strrchr($file, '-') ?: '', 1);
                $patches[$number] = [new Memory($pieces), json_decode($pieces['changed'], true, flags: JSON_THROW_ON_ERROR)];
                $whole = $pieces['whole'] === '1' ? max($whole, $number) : $whole;
            }
        }
        ksort($patches);

        return array_filter($patches, static fn (int $number): bool => $number >= $whole, ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param  array<int, string>  $accounts
     * @param  bool  $whole  they are all that changed
     * @return array{Memory, array<int, string>}
     */
    private function make(int $number, array $accounts, bool $whole): array
    {
        $records = iterator_to_array((new Records($this->offer))->read(array_keys($accounts)), false);
        $indexer = new Indexer(array_map(static fn (Record $account): int => Indexer::pagesFor(count($account->contacts), count($account->parts ?? [])), $records));
        $pieces = ['changed' => json_encode($accounts, JSON_THROW_ON_ERROR), 'whole' => $whole ? '1' : '0'] + iterator_to_array(Indexes::pieces($indexer, $records));
        $made = "{$this->folder}/made-".getmypid().'-'.hrtime(true);
        file_put_contents($made, serialize($pieces));
        // Of two who make it at once, the first is kept; the other uses its own for this once.
        @link($made, "{$this->folder}/patch-$number");
        unlink($made);
        foreach ($whole ? glob("{$this->folder}/patch-*") ?: [] : [] as $old) {
            (int) substr(strrchr($old, '-') ?: '', 1) < $number && @unlink($old);
        }

        return [new Memory($pieces), $accounts];
    }
}
