<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Channel;
use App\Models\Contact;
use App\Models\Position;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A person with positions and channels.
 *
 * @property Contact $resource
 */
final class ContactResource extends JsonResource
{
    /** What is loaded along. */
    public const PARTS = ['positions', 'channels'];

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $contact = $this->resource;

        return $contact->only(
            'id', 'account_id', 'first_name', 'last_name', 'title', 'about', 'interests', 'city', 'country', 'profile',
            'source', 'confidence', 'intro',
        ) + [
            'positions' => $contact->positions->map(fn (Position $position): array => [
                'account_id' => $position->account_id, 'company' => $position->company, 'title' => $position->title,
                'since' => $position->since?->toDateString(), 'until' => $position->until?->toDateString(),
            ]),
            'channels' => $contact->channels->map(fn (Channel $channel): array => [
                'id' => $channel->id, 'type' => $channel->type->value, 'value' => $channel->value,
                'state' => $channel->state->value, 'chance' => $channel->chance,
                'checked_at' => $channel->checked_at?->toIso8601ZuluString(),
            ]),
            'seen_at' => $contact->seen_at?->toIso8601ZuluString(),
            'updated_at' => $contact->updated_at?->toIso8601ZuluString(),
        ];
    }
}
