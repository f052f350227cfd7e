<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Account;
use App\Models\Contact;
use App\Support\Like;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Finds any account, contact or screen by what one types. */
final class GoController extends Controller
{
    private const MOST = 8;

    public function __invoke(Request $request): View
    {
        $text = self::text($request, 'q');
        $accounts = $text === '' ? collect() : self::accounts($text);
        $contacts = $text === '' ? collect() : self::contacts(preg_split('/\s+/', $text) ?: []);
        $screens = collect(self::screens($request))->filter(fn (string $url, string $name): bool => $text === '' || str_contains(mb_strtolower($name), mb_strtolower($text)));

        return view($request->header('HX-Request') ? 'go.results' : 'go.index', compact('text', 'accounts', 'contacts', 'screens'));
    }

    /**
     * Those whose name begins so, then those whose domain does, then those in whose name a later word does; each is asked only
     * where there is room left, since the last has to look at all of them.
     *
     * @return Collection<int, Account>
     */
    private static function accounts(string $text): Collection
    {
        $like = Like::begins($text);
        $ids = [];
        foreach ([['name', $like], ['domain', $like], ['name', '% '.$like]] as [$column, $pattern]) {
            if (count($ids) < self::MOST && ($column === 'name' || mb_check_encoding($pattern, 'ASCII'))) {
                // Of the key alone, which is a small part of the rows; some may be merged.
                $ids = [...$ids, ...DB::table('accounts')->where($column, 'like', $pattern)->orderBy($column)->limit(2 * self::MOST)->pluck('id')->all()];
            }
        }
        $places = array_flip(array_values(array_unique($ids)));

        return Account::query()->own()->whereIn('id', array_keys($places))->get(['id', 'name', 'domain'])->sortBy(fn (Account $account): int => $places[$account->id])->take(self::MOST)->values();
    }

    /**
     * By the last name, then by the first, in the order of their keys: so a letter typed among a million is answered at once.
     *
     * @param  list<string>  $words  each begins one of the names
     * @return Collection<int, Contact>
     */
    private static function contacts(array $words): Collection
    {
        $names = ['last_name', 'first_name'];

        return collect($names)->flatMap(function (string $name) use ($words, $names): Collection {
            $query = Contact::query()->with('account:id,name')->whereNull('merged_into')->where($name, 'like', Like::begins($words[0]));
            foreach (array_slice($words, 1) as $word) {
                $query->where(fn (Builder $either) => $either->where('first_name', 'like', Like::begins($word))->orWhere('last_name', 'like', Like::begins($word)));
            }

            return $query->orderBy($name)->orderBy($name === $names[0] ? $names[1] : $names[0])->limit(self::MOST)->get(['id', 'first_name', 'last_name', 'title', 'account_id']);
        })->unique('id')->take(self::MOST)->values();
    }

    /** @return array<string, string> name → address */
    private static function screens(Request $request): array
    {
        return ['Today' => '/', 'Accounts' => '/accounts', 'Contacts' => '/contacts', 'Finder' => '/finder', 'Lists' => '/lists', 'Network' => '/network', 'Reasons' => '/reasons', 'Intake' => '/intake', 'Keep-out' => '/keep-out', 'My pace' => '/pace']
            + ($request->user()->leads() ? ['Rules' => '/rules', 'Team' => '/team'] : []);
    }
}
