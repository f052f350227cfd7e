<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Reason;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * Why to approach a contact now, frozen with its evidence (rule 19).
 *
 * @property Reason $resource
 */
final class ReasonResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $reason = $this->resource;

        return $reason->only('id', 'offer_id', 'account_id', 'contact_id', 'user_id', 'words', 'channel') + [
            'expires_on' => $reason->expires_on->toDateString(), 'expired' => $reason->isExpired(),
            'evidence' => $reason->evidence, 'created_at' => $reason->created_at?->toIso8601ZuluString(),
        ];
    }
}
