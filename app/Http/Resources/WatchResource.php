<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Watch;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A search that runs by itself.
 *
 * @property Watch $resource
 */
final class WatchResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $watch = $this->resource;

        return $watch->only(
            'id', 'offer_id', 'user_id', 'name', 'subject', 'search', 'weekday', 'hour', 'time_zone', 'mailed',
        ) + [
            'rhythm' => $watch->rhythm->value, 'ran_at' => $watch->ran_at->toIso8601ZuluString(),
            'next_at' => $watch->next_at->toIso8601ZuluString(),
            'unread' => $watch->newcomers()->where('unread', true)->count(),
        ];
    }
}
