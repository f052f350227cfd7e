<?php

declare(strict_types=1);

namespace App\View\Go;

use App\Models\Account;
use App\Models\Contact;
use App\Support\Like;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Accounts and contacts by what somebody types of their names, asked at every letter. */
final class NameSearch
{
    /**
     * Those whose name begins so, then those whose domain does, then those in whose name a later word does; each is
     * asked only where there is room left, since the last has to look at all of them.
     *
     * @return Collection<int, Account>
     */
    public static function accounts(string $text, int $most): Collection
    {
        $like = Like::begins($text);
        $ids = [];
        foreach ([['name', $like], ['domain', $like], ['name', '% '.$like]] as [$column, $pattern]) {
            if (count($ids) < $most && ($column === 'name' || mb_check_encoding($pattern, 'ASCII'))) {
                // Of the key alone, which is a small part of the rows; some may be merged.
                $ids = [
                    ...$ids,
                    ...DB::table('accounts')->where($column, 'like', $pattern)->orderBy($column)->limit(2 * $most)
                        ->pluck('id')->all(),
                ];
            }
        }
        $places = array_flip(array_values(array_unique($ids)));

        return Account::query()->own()->whereIn('id', array_keys($places))->get(['id', 'name', 'domain'])
            ->sortBy(fn (Account $account): int => $places[$account->id])->take($most)->values();
    }

    /**
     * By the last name, then by the first, in the order of their keys: so a letter typed among a million is answered at
     * once.
     *
     * @param  string  $text  words, of which each begins one of the names
     * @return Collection<int, Contact>
     */
    public static function contacts(string $text, int $most): Collection
    {
        $names = ['last_name', 'first_name'];
        $words = preg_split('/\s+/', $text) ?: [];

        return collect($names)->flatMap(function (string $name) use ($words, $names, $most): Collection {
            $query = Contact::query()->with('account:id,name')->whereNull('merged_into')
                ->where($name, 'like', Like::begins($words[0]));
            foreach (array_slice($words, 1) as $word) {
                $query->where(
                    fn (Builder $either) => $either->where('first_name', 'like', Like::begins($word))
                        ->orWhere('last_name', 'like', Like::begins($word)),
                );
            }

            return $query->orderBy($name)->orderBy($name === $names[0] ? $names[1] : $names[0])->limit($most)
                ->get(['id', 'first_name', 'last_name', 'title', 'account_id']);
        })->unique('id')->take($most)->values();
    }
}
