<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Approach;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * That somebody was approached, and what came of it (rule 19).
 *
 * @property Approach $resource
 */
final class ApproachResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $approach = $this->resource;

        return $approach->only(
            'id', 'offer_id', 'account_id', 'contact_id', 'reason_id', 'user_id', 'next_step', 'instead',
        ) + [
            'kind' => $approach->kind->value, 'made_at' => $approach->made_at->toIso8601ZuluString(),
            'next_step_on' => $approach->next_step_on?->toDateString(), 'result' => $approach->result?->value,
            'result_at' => $approach->result_at?->toIso8601ZuluString(),
            'later_on' => $approach->later_on?->toDateString(),
        ];
    }
}
