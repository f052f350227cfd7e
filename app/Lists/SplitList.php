<?php

declare(strict_types=1);

namespace App\Lists;

use App\Models\KeptList;
use App\Models\User;
use App\Support\Countries;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\Authority;
use Luftig\Core\Person\Title;

/** Parts a list into batches. */
final class SplitList
{
    private const BANDS = ['under 50 heads', '50–249 heads', '250–999 heads', '1,000 heads and more'];

    /** @return array<string, int> name of a batch → its size */
    public static function split(KeptList $list, SplitBy $by, int $parts, User $who): array
    {
        $ids = $list->members()->pluck('record_id')->all();
        $groups = [];
        foreach (
            $by === SplitBy::Evenly ? self::evenly(
                $ids,
                max(2, $parts),
            ) : self::labels($list, $by, $ids) as $id => $label
        ) {
            $groups[$label][] = $id;
        }
        ksort($groups, SORT_NATURAL);

        return Together::write(function () use ($list, $groups, $who): array {
            $sizes = [];
            foreach ($groups as $label => $members) {
                $sizes[KeepResults::part($list, $label, $members, $who)->name] = count($members);
            }

            return $sizes;
        });
    }

    /**
     * One after another, so that every part is as good as the others.
     *
     * @param  array<int>  $ids  the best first
     * @return array<int, string>
     */
    private static function evenly(array $ids, int $parts): array
    {
        $labels = [];
        foreach (array_values($ids) as $i => $id) {
            $labels[$id] = 'part '.($i % $parts + 1);
        }

        return $labels;
    }

    /**
     * @param  array<int>  $ids
     * @return array<int, string> in the order of the list
     */
    private static function labels(KeptList $list, SplitBy $by, array $ids): array
    {
        $labels = [];
        foreach (array_chunk($ids, 2000) as $chunk) {
            $query = $list->subject === 'accounts'
                ? DB::table('accounts')->whereIn('accounts.id', $chunk)
                : DB::table('contacts')->join('accounts', 'accounts.id', '=', 'contacts.account_id')->whereIn(
                    'contacts.id',
                    $chunk,
                );
            $rows = $query->leftJoin(
                'places',
                fn ($join) => $join->on('places.account_id', '=', 'accounts.id')->where('headquarters', true),
            )
                ->get(
                    [
                        $list->subject.'.id', 'headcount', 'places.country',
                        ...($list->subject === 'contacts' ? ['reading'] : []),
                    ],
                )
                ->keyBy('id');
            foreach ($chunk as $id) {
                $row = $rows[$id] ?? null;
                if ($row !== null) {
                    $labels[$id] = match ($by) {
                        SplitBy::Country => Countries::name($row->country) ?: 'country unknown',
                        SplitBy::Headcount => $row->headcount === null
                            ? 'heads unknown'
                            : self::BANDS[Authority::sizeClass($row->headcount)],
                        default => (Title::unpacked($row->reading)->functions()[0] ?? null)?->label()
                            ?? 'function unknown',
                    };
                }
            }
        }

        return $labels;
    }
}
