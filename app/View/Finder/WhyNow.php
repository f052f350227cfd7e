<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Finder\ResultColumn;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use App\Reasons\Drafts;
use App\Standings\SignalLine;
use App\View\Accounts\Ranking;
use Closure;
use Illuminate\Support\Collection;

/** Why now, and a draft, for rows that are given out. */
final class WhyNow
{
    private const SAID = 3;

    private const COLUMNS = ['why now', 'draft'];

    /**
     * Null where none of the columns asks for it.
     *
     * @param  list<ResultColumn>  $columns
     * @return Closure(Collection<int, Standing>): Closure|null
     */
    public static function for(Offer $offer, array $columns): ?Closure
    {
        if (array_intersect(self::COLUMNS, array_column($columns, 'heading')) === []) {
            return null;
        }

        return function (Collection $standings) use ($offer): Closure {
            $lines = $standings->isEmpty() ? [] : Ranking::lines($offer, $standings);

            return function (Account|Contact $record, Standing $standing) use ($offer, $lines): array {
                $own = $lines[$standing->account_id] ?? [];
                $to = $record instanceof Contact ? $record : null;

                return [
                    self::says($own),
                    Drafts::of($offer, $standing->account, $to, $own)->words(),
                ];
            };
        };
    }

    /** @param  list<SignalLine>  $lines */
    private static function says(array $lines): string
    {
        return implode('; ', array_map(
            fn (SignalLine $line): string => $line->signal->title.' ('.$line->signal->occurred_at->toDateString().')',
            array_slice(
                array_values(array_filter($lines, fn (SignalLine $line): bool => $line->push > 0)),
                0,
                self::SAID,
            ),
        ));
    }
}
