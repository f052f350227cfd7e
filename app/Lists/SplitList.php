<?php

declare(strict_types=1);

namespace App\Lists;

use App\Channels\Reach;
use App\KeepOut\EntriesInForce;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\User;
use App\Support\Countries;
use App\Support\FunctionNames;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\Authority;
use Luftig\Core\Company\Industries;
use Luftig\Core\Person\Title;
use stdClass;

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
            $found = $by === SplitBy::Channel ? self::channels($chunk) : self::facts($list->subject, $by, $chunk);
            foreach ($chunk as $id) {
                if (isset($found[$id])) {
                    $labels[$id] = $found[$id];
                }
            }
        }

        return $labels;
    }

    /**
     * How each contact is reached best.
     *
     * @param  list<int>  $ids
     * @return array<int, string>
     */
    private static function channels(array $ids): array
    {
        $barred = EntriesInForce::now();

        return Contact::query()->with('channels')->whereIn('id', $ids)->get()->mapWithKeys(
            fn (Contact $contact): array => [$contact->id => Reach::of($contact, $barred)->label()],
        )->all();
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, string>
     */
    private static function facts(string $subject, SplitBy $by, array $ids): array
    {
        $query = $subject === 'accounts'
            ? DB::table('accounts')
            : DB::table('contacts')->join('accounts', 'accounts.id', '=', 'contacts.account_id')->addSelect('reading');

        return $query->whereIn("$subject.id", $ids)
            ->leftJoin('places', fn ($join) => $join->on('places.account_id', '=', 'accounts.id')
                ->where('headquarters', true))
            ->leftJoin('account_industry', fn ($join) => $join->on('account_industry.account_id', '=', 'accounts.id')
                ->where('position', 0))
            ->addSelect("$subject.id", 'headcount', 'places.country', 'places.region', 'places.city', 'code')
            ->get()->mapWithKeys(fn (stdClass $row): array => [$row->id => self::label($row, $by)])->all();
    }

    private static function label(stdClass $row, SplitBy $by): string
    {
        return match ($by) {
            SplitBy::Country => Countries::name($row->country) ?: 'country unknown',
            SplitBy::Region => $row->region ?? 'region unknown',
            SplitBy::City => $row->city ?? 'city unknown',
            // By divisions: classes would make a batch of nearly each.
            SplitBy::Industry => $row->code === null
                ? 'industry unknown'
                : lcfirst(Industries::name(strlen($row->code) === 1 ? $row->code : substr($row->code, 0, 2))),
            SplitBy::Headcount => $row->headcount === null
                ? 'heads unknown'
                : self::BANDS[Authority::sizeClass($row->headcount)],
            default => ($function = Title::unpacked($row->reading)->functions()[0] ?? null) === null
                ? 'function unknown'
                : FunctionNames::of($function),
        };
    }
}
