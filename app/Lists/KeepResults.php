<?php

declare(strict_types=1);

namespace App\Lists;

use App\Finder\Search;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\User;
use App\Support\Bulk;
use App\Support\Together;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Luftig\Core\Search\Subject;

/** Keeps what a search finds as a list that remembers how it was made. */
final class KeepResults
{
    /**
     * @param  list<int>|null  $only  of those found; null: all
     * @param  int|null  $perAccount  of contacts at most so many at one account
     * @param  int|null  $best  of all these only so many, the best
     */
    public static function asList(
        Offer $offer,
        Search $search,
        string $name,
        User $by,
        ?array $only = null,
        ?int $perAccount = null,
        ?int $best = null,
    ): KeptList {
        return self::keep(
            [
                'offer_id' => $offer->id, 'name' => $name, 'subject' => $search->subject->value,
                'search' => http_build_query($search->parameters()), 'per_account' => $perAccount, 'best' => $best,
                'user_id' => $by->id,
            ],
            self::chosen($search, $only, $perAccount, $best),
        );
    }

    /**
     * @param  list<int>|null  $only  of those found; null: all
     * @param  int|null  $perAccount  of contacts at most so many at one account
     * @param  int|null  $best  of all these only so many, the best
     * @return list<int> in the order in which they were found
     */
    public static function chosen(Search $search, ?array $only, ?int $perAccount, ?int $best): array
    {
        $found = self::found($search, $perAccount);

        return array_slice($only === null ? $found : array_values(array_intersect($found, $only)), 0, $best);
    }

    /**
     * A part of a list as a list of its own, which says the same of how it was made.
     *
     * @param  list<int>  $ids
     */
    public static function part(KeptList $list, string $label, array $ids, User $by): KeptList
    {
        return self::keep(
            ['name' => self::free(mb_substr("{$list->name} · $label", 0, 90), $list->offer_id), 'user_id' => $by->id]
                + $list->only('offer_id', 'subject', 'search', 'per_account'),
            $ids,
        );
    }

    /** The name, or with a number where another list has it. */
    public static function free(string $name, int $offer): string
    {
        $taken = fn (string $name): bool => KeptList::query()->where('offer_id', $offer)->where('name', $name)
            ->exists();
        for ($n = 2, $free = $name; $taken($free); $n++) {
            $free = "$name ($n)";
        }

        return $free;
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  list<int>  $ids
     *
     * @throws ValidationException where somebody took the name a moment ago
     */
    private static function keep(array $columns, array $ids): KeptList
    {
        return Together::write(function () use ($columns, $ids): KeptList {
            try {
                $list = KeptList::query()->create($columns);
            } catch (UniqueConstraintViolationException) {
                throw ValidationException::withMessages(['name' => 'There is a list of this name.']);
            }
            Bulk::insert(
                'list_members',
                ['list_id', 'record_id', 'position'],
                array_map(fn (int $id, int $position): array => [$list->id, $id, $position], $ids, array_keys($ids)),
            );

            return $list;
        });
    }

    /** @return list<int> what a search finds, at most so many contacts of one account; the best first */
    private static function found(Search $search, ?int $perAccount): array
    {
        return $perAccount === null || $search->subject === Subject::Accounts
            ? $search->ids()
            : self::fewOfEach($search->ids(), $perAccount);
    }

    /**
     * @param  list<int>  $contacts  the best first
     * @return list<int>
     */
    private static function fewOfEach(array $contacts, int $most): array
    {
        $at = [];
        foreach (array_chunk($contacts, 5000) as $ids) {
            $at += DB::table('contacts')->whereIn('id', $ids)->pluck('account_id', 'id')->all();
        }
        $taken = [];

        return array_values(array_filter($contacts, function (int $id) use ($at, &$taken, $most): bool {
            $account = $at[$id] ?? 0;
            $taken[$account] = ($taken[$account] ?? 0) + 1;

            return $taken[$account] <= $most;
        }));
    }
}
