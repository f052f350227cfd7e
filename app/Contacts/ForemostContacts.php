<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\Contact;
use App\Models\GroupPlace;
use App\Models\Offer;
use App\Models\Standing;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/**
 * The people of accounts whom a screen looks at: all of them, but of an account with very many the foremost of each
 * part, those whom somebody placed by hand, and of the rest those who are reached in most ways.
 */
final class ForemostContacts
{
    /** An account with more people than this is looked at in part. */
    public const MOST = 300;

    private const OF_PART = 40;

    private const BESIDES = 60;

    /**
     * @param  Collection<int, Standing>  $standings
     * @param  list<int>  $also  contacts who are wanted in any case
     * @return Builder<Contact>
     */
    public static function of(Offer $offer, Collection $standings, array $also = []): Builder
    {
        $accounts = $standings->pluck('account_id');
        $large = Contact::query()->whereIn('account_id', $accounts)->whereNull('merged_into')
            ->groupBy('account_id')->havingRaw('COUNT(*) > '.self::MOST)->pluck('account_id');
        $ids = $also;
        foreach ($standings->whereIn('account_id', $large) as $standing) {
            array_push($ids, ...self::foremost($standing), ...self::placed($offer, $standing));
            array_push($ids, ...self::bestReached($standing->account_id, $ids));
        }

        return Contact::query()->whereNull('merged_into')->where(fn (Builder $people) => $people
            ->whereIn('account_id', $accounts->diff($large)->values())->orWhereIn('id', $ids));
    }

    /** @return list<int> */
    private static function foremost(Standing $standing): array
    {
        $ofPart = [];
        $ids = [];
        foreach ($standing->contacts ?? [] as [$id, , $part]) {
            $ofPart[$part] = ($ofPart[$part] ?? 0) + 1;
            if ($ofPart[$part] <= self::OF_PART) {
                $ids[] = $id;
            }
        }

        return $ids;
    }

    /** @return list<int> */
    private static function placed(Offer $offer, Standing $standing): array
    {
        /** @var list<int> */
        return GroupPlace::query()->where('offer_id', $offer->id)->where('account_id', $standing->account_id)
            ->limit(self::MOST)->pluck('contact_id')->all();
    }

    /**
     * @param  list<int>  $but
     * @return list<int>
     */
    private static function bestReached(int $account, array $but): array
    {
        /** @var list<int> */
        return Contact::query()->where('account_id', $account)->whereNull('merged_into')->whereNotIn('id', $but)
            ->withCount('channels')->orderByDesc('channels_count')->orderBy('id')->limit(self::BESIDES)->pluck('id')
            ->all();
    }
}
