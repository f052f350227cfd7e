<?php

declare(strict_types=1);

namespace App\Exports;

use App\Finder\ResultRows;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use Closure;
use Generator;
use Illuminate\Support\Collection;

/** What a search found, to be given out: those who are kept out are marked; those who asked for it are left out. */
final class FoundRecords
{
    private const CHUNK = 500;

    /**
     * @param  Closure(Collection<int, \App\Models\Standing>): Closure|null  $reasons  makes what says why now
     * @return Generator<array{Account|Contact, ResultRows}>
     */
    public static function of(Offer $offer, Search $search, ?Closure $reasons = null, bool $saysWhy = false): Generator
    {
        foreach (array_chunk($search->ids(), self::CHUNK) as $ids) {
            $rows = ResultRows::of($offer, $search->subject, $ids, $reasons, $saysWhy ? $search : null);
            foreach ($rows->records as $record) {
                if (! $rows->asked($record)) {
                    yield [$record, $rows];
                }
            }
        }
    }
}
