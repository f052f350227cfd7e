<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Signal;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * Something dated that happened.
 *
 * @property Signal $resource
 */
final class SignalResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $signal = $this->resource;

        return $signal->only(
            'id', 'account_id', 'contact_id', 'title', 'strength', 'confidence', 'source', 'quote', 'link', 'offer_id',
        ) + [
            'kind' => $signal->kind->value, 'occurred_at' => $signal->occurred_at->toIso8601ZuluString(),
            'since' => $signal->since?->toIso8601ZuluString(), 'facts' => $signal->facts === [] ? null : $signal->facts,
            'created_at' => $signal->created_at?->toIso8601ZuluString(),
        ];
    }
}
