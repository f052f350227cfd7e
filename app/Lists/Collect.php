<?php

declare(strict_types=1);

namespace App\Lists;

use App\Models\KeptList;
use App\Models\Offer;
use App\Models\User;
use App\Support\Bulk;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\Subject;

/** Puts accounts or contacts onto a list by hand, one that is there or a new one, and takes them off again. */
final class Collect
{
    /**
     * The list of that name, whoever made it; else a new one, which remembers that it was collected by hand.
     */
    public static function named(Offer $offer, Subject $subject, string $name, User $by): KeptList
    {
        $list = KeptList::query()->where('offer_id', $offer->id)->where('subject', $subject->value)
            ->where('name', $name)->first();
        if ($list !== null) {
            return $list;
        }

        return Together::write(function () use ($offer, $subject, $name, $by): KeptList {
            $list = KeptList::query()->create([
                'offer_id' => $offer->id, 'subject' => $subject->value, 'user_id' => $by->id, 'search' => '',
                'name' => KeepResults::free($name, $offer->id),
            ]);
            $list->update(['search' => self::search($list)]);

            return $list;
        });
    }

    /** Whether a list was collected by hand: the search that finds it again is of itself. */
    public static function isByHand(KeptList $list): bool
    {
        return $list->search === self::search($list);
    }

    /**
     * @param  list<int>  $ids
     * @return list<int> those that were not on it yet
     */
    public static function add(KeptList $list, array $ids): array
    {
        return Together::write(function () use ($list, $ids): array {
            $there = $list->members()->lockForUpdate()->pluck('record_id')->all();
            $new = array_values(array_diff(array_unique($ids), $there));
            $last = (int) $list->members()->max('position');
            Bulk::insert('list_members', ['list_id', 'record_id', 'position'], array_map(
                fn (int $id, int $at): array => [$list->id, $id, $last + 1 + $at],
                $new,
                array_keys($new),
            ));

            return $new;
        });
    }

    /**
     * @param  list<int>  $ids
     * @return list<int> those that were on it
     */
    public static function remove(KeptList $list, array $ids): array
    {
        return Together::write(function () use ($list, $ids): array {
            $there = array_values(array_map(
                intval(...),
                $list->members()->whereIn('record_id', $ids)->pluck('record_id')->all(),
            ));
            $list->members()->whereIn('record_id', $there)->delete();

            return $there;
        });
    }

    /**
     * @param  list<int>  $ids
     * @return list<int> those of them that there are, in their order
     */
    public static function known(Subject $subject, array $ids): array
    {
        $there = DB::table($subject->value)->whereNull('merged_into')->whereIn('id', $ids)->pluck('id')->all();

        return array_values(array_intersect($ids, array_map(intval(...), $there)));
    }

    private static function search(KeptList $list): string
    {
        return http_build_query(['on' => $list->subject, 'c' => [['f' => 'list', 'v' => (string) $list->id]]]);
    }
}
