<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\KeptList;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A list, and the search that made it.
 *
 * @property KeptList $resource
 */
final class ListResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $list = $this->resource;

        return $list->only('id', 'offer_id', 'name', 'subject', 'search', 'per_account', 'best', 'held_for', 'user_id')
            + ['size' => $list->members()->count(), 'created_at' => $list->created_at?->toIso8601ZuluString()];
    }
}
