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
 * change, of what changed since the one before; in an older one, and in the large one, what changed later is hidden. One that is no
 * larger than what is new is made anew with it, so that they stay few and an account is read anew a few times only (Bentley and Saxe 1980).
 */
final readonly class Patches
{
    /** So many accounts are held in memory. */
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
        $next = $since = 1 + max([0, ...array_keys($patches)]);
        while ($patches !== [] && count($patches[array_key_last($patches)][1]) <= count($fresh)) {
            $since = array_key_last($patches);
            $fresh += array_intersect_key($changed, array_pop($patches)[1]);
        }
        ksort($fresh);

        return [...array_values($patches), $this->make($next, $since, $fresh)];
    }

    /** @return array<int, array{Memory, array<int, string>}> by number, the oldest first; those without for which a newer one stands */
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
            $pieces = $number < $since ? @unserialize((string) @file_get_contents($file), ['allowed_classes' => false]) : null;
            if (is_array($pieces)) {
                $patches[$number] = [new Memory($pieces), json_decode($pieces['changed'], true, flags: JSON_THROW_ON_ERROR)];
                $since = (int) $pieces['since'];
            }
        }

        return array_reverse($patches, true);
    }

    /**
     * @param  int  $since  number of the oldest for which it stands
     * @param  array<int, string>  $accounts  ascending
     * @return array{Memory, array<int, string>}
     */
    private function make(int $number, int $since, array $accounts): array
    {
        $records = new Records($this->offer);
        $ids = array_keys($accounts);
        if (count($ids) > self::AT_ONCE) {
            $pages = $records->pages($ids);
            $read = $records->read(array_keys($pages));
        } else {
            // What is read is counted, which saves asking.
            $read = iterator_to_array($records->read($ids), false);
            $pages = array_map(static fn (Record $account): int => Indexer::pagesFor(count($account->contacts), count($account->parts ?? [])), $read);
        }
        $pieces = ['changed' => json_encode($accounts, JSON_THROW_ON_ERROR), 'since' => (string) $since] + iterator_to_array(Indexes::pieces(new Indexer($pages), $read));
        $made = "{$this->folder}/made-".getmypid().'-'.hrtime(true);
        file_put_contents($made, serialize($pieces));
        // Of two who make it at once, the first is kept; the other uses its own for this once.
        $isKept = @link($made, "{$this->folder}/patch-$number");
        unlink($made);
        for ($old = $since; $isKept && $old < $number; $old++) {
            @unlink("{$this->folder}/patch-$old");
        }

        return [new Memory($pieces), $accounts];
    }
}
