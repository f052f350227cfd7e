<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Account;
use App\Models\CustomerPeriod;
use App\Models\Offer;
use App\Models\Place;
use App\Models\Standing;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A company with its facts, and its standing for the offer that was asked for.
 *
 * @property Account $resource
 */
final class AccountResource extends JsonResource
{
    /** @return array<array-key, mixed> what is loaded along */
    public static function parts(Offer $offer): array
    {
        return ['industries', 'places', 'technologies', 'customerPeriods',
            'standings' => fn ($query) => $query->where('offer_id', $offer->id)];
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $account = $this->resource;
        $standing = $account->standings->first();

        return $account->only('id', 'name', 'domain', 'status', 'description', 'keywords', 'founded', 'headcount',
            'growth', 'revenue', 'sites', 'parent_id', 'owner_id', 'source', 'confidence') + [
                'industries' => $account->industries->pluck('code')->filter()->values(),
                'places' => $account->places->map(fn (Place $place): array => $place->only(
                    'headquarters', 'city', 'region', 'postal_code', 'country', 'latitude', 'longitude',
                )),
                'technologies' => $account->technologies->pluck('name'),
                'customer' => $account->customerPeriods->map(fn (CustomerPeriod $period): array => [
                    'since' => $period->since?->toDateString(), 'until' => $period->until?->toDateString(),
                    'best' => $period->best,
                ]),
                'standing' => $standing === null ? null : self::standing($standing),
                'seen_at' => $account->seen_at?->toIso8601ZuluString(),
                'updated_at' => $account->updated_at?->toIso8601ZuluString(),
            ];
    }

    /** @return array<string, mixed> rules 3 to 6 */
    private static function standing(Standing $standing): array
    {
        return $standing->only('fit', 'coverage', 'access', 'points', 'priority', 'cause') + [
            'offer_id' => $standing->offer_id, 'state' => $standing->state->value, 'timing' => $standing->timing(),
            'act_by' => $standing->act_by?->toDateString(),
        ];
    }
}
