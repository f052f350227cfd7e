<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\City;
use App\Support\AccountIds;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyName;
use Luftig\Core\Company\Domain;
use Luftig\Core\Company\Industries;
use Luftig\Core\Signal\About;
use Luftig\Core\Signal\Item;
use Luftig\Core\Signal\Mention;
use Luftig\Core\Signal\Named;
use Luftig\Core\Text\StopWords;

/**
 * Finds the accounts that a text is about (rule 25). The base is asked for the names that stand in it, as the keys of
 * its runs of words, so that a hundred thousand accounts need not be held.
 */
final class AccountsNamed
{
    /** Words of the longest name that is looked for. */
    private const WORDS = 6;

    private const KEYS = 2000;

    private const PEOPLE = 20_000;

    /** @return list<Mention> the surest first */
    public static function in(Item $item): array
    {
        $keys = [];
        foreach ([$item->title, $item->text] as $text) {
            $words = explode(' ', trim(CompanyName::line($text)));
            for ($from = 0, $count = count($words); $from < $count; $from++) {
                for ($many = 1; $many <= self::WORDS && $from + $many <= $count; $many++) {
                    $keys[CompanyName::keyOf(implode(' ', array_slice($words, $from, $many)))] = true;
                }
            }
        }
        $accounts = [];
        foreach (array_chunk(array_keys($keys), self::KEYS) as $some) {
            $accounts += self::accounts('name_key', array_map(strval(...), $some));
        }
        $accounts += self::accounts('domain', array_map(strval(...), array_keys($item->domains)));
        if ($accounts === []) {
            return [];
        }
        $people = self::people(array_keys($accounts));
        $named = [];
        foreach ($accounts as $id => [$name, $domain, $city]) {
            $named[] = new Named($id, $name, $domain, null, $city, [], $people[$id] ?? []);
        }

        return (new About($named, self::common(array_column($accounts, 0))))->of($item);
    }

    /** The account that somebody means who types its domain, or its name where no other has it. */
    public static function meant(string $typed): ?int
    {
        $domain = Domain::from($typed)?->name;
        $id = $domain === null ? null : AccountIds::of([['domain' => $domain]])[$domain] ?? null;

        return $id ?? self::byNames([$typed])[$typed] ?? null;
    }

    /**
     * Accounts that are of one name, by the name of an employer; a name that several have is nobody's.
     *
     * @param  list<string>  $names
     * @return array<string, int> name → account
     */
    public static function byNames(array $names): array
    {
        $keys = [];
        foreach ($names as $name) {
            $keys[$name] = CompanyName::of($name)->key();
        }
        $ids = DB::table('accounts')->whereIn('name_key', array_unique(array_values($keys)))->whereNull('merged_into')
            ->groupBy('name_key')->havingRaw('COUNT(*) = 1')->selectRaw('name_key, MIN(id) AS id, MIN(name) AS name')
            ->get()->keyBy('name_key');
        $found = [];
        foreach ($keys as $name => $key) {
            $account = $ids[$key] ?? null;
            if ($account !== null && CompanyName::of($account->name)->equals(CompanyName::of((string) $name))) {
                $found[(string) $name] = $account->id;
            }
        }
        // Of a candidate somebody may have said which account it is.
        $marks = array_map(CandidateCompanies::markOfName(...), array_diff_key($keys, $found));
        $said = DB::table('candidate_companies')->whereIn('mark', $marks)->whereNotNull('account_id')
            ->pluck('account_id', 'mark');

        return $found + array_filter(array_map(fn (string $mark): ?int => $said[$mark] ?? null, $marks));
    }

    /**
     * @param  list<string>  $values
     * @return array<int, array{string, string|null, string|null}> name, domain, city
     */
    private static function accounts(string $column, array $values): array
    {
        if ($values === []) {
            return [];
        }
        $found = [];
        foreach (
            DB::table('accounts')->leftJoin(
                'places',
                fn ($join) => $join->on('account_id', '=', 'accounts.id')->where('headquarters', true),
            )->whereIn($column, $values)->whereNull('merged_into')
                ->get(['accounts.id', 'name', 'domain', 'city']) as $row
        ) {
            $found[$row->id] = [$row->name, $row->domain, $row->city];
        }

        return $found;
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, list<string>> full names of their contacts
     */
    private static function people(array $accounts): array
    {
        $people = [];
        foreach (
            DB::table('contacts')->whereIn('account_id', $accounts)->whereNull('merged_into')->limit(self::PEOPLE)
                ->get(['account_id', 'first_name', 'last_name']) as $row
        ) {
            $name = trim("$row->first_name $row->last_name");
            if (str_contains($name, ' ')) {
                $people[$row->account_id][] = $name;
            }
        }

        return $people;
    }

    /**
     * The names of one word that are a word of the trades, of everyday, or a place.
     *
     * @param  list<string>  $names
     * @return list<string>
     */
    private static function common(array $names): array
    {
        $single = [];
        foreach ($names as $name) {
            foreach (CompanyName::of($name)->forms as $form) {
                if (! str_contains($form, ' ')) {
                    $single[$form] = true;
                }
            }
        }
        $words = array_map(strval(...), array_keys($single));
        $places = City::query()->whereIn('folded', $words)->pluck('folded')->all();

        return array_values(array_filter($words, fn (string $word): bool => StopWords::has($word)
            || in_array($word, $places, true)
            || Industries::read($word)[1]));
    }
}
