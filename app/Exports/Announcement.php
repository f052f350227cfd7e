<?php

declare(strict_types=1);

namespace App\Exports;

use App\KeepOut\EntriesInForce;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\EventDelivery;
use App\Models\Reason;

/**
 * A new reason or result as a CloudEvent 1.0 in JSON, as it is at this moment. Of who asked not to be contacted only
 * the number goes out.
 */
final class Announcement
{
    public const REASON = 'reason';

    public const RESULT = 'result';

    /** @return string|null  null: what it would tell of is gone, or was taken back */
    public static function of(EventDelivery $delivery): ?string
    {
        $data = $delivery->type === self::REASON
            ? self::reason($delivery->subject_id) : self::result($delivery->subject_id);
        if ($data === null) {
            return null;
        }

        return json_encode([
            'specversion' => '1.0', 'id' => $delivery->id, 'source' => config()->string('app.url'),
            'type' => "luftig.{$delivery->type}", 'subject' => "{$delivery->type}/{$delivery->subject_id}",
            'time' => $delivery->created_at?->toIso8601ZuluString(), 'datacontenttype' => 'application/json',
            'data' => $data,
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed>|null */
    private static function reason(int $id): ?array
    {
        $reason = Reason::query()->with('account', 'contact', 'user')->find($id);

        return $reason === null ? null : [
            'reason_id' => $reason->id, 'account' => $reason->account->only('id', 'name', 'domain'),
            'contact' => self::contact($reason->contact), 'by' => $reason->user->name, 'words' => $reason->words,
            'channel' => $reason->channel, 'expires_on' => $reason->expires_on->toDateString(),
            'link' => route('reasons.show', $reason),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function result(int $id): ?array
    {
        $approach = Approach::query()->with('account', 'contact', 'user')->whereNotNull('result')->find($id);

        return $approach === null ? null : [
            'approach_id' => $approach->id, 'reason_id' => $approach->reason_id,
            'account' => $approach->account->only('id', 'name', 'domain'),
            'contact' => self::contact($approach->contact), 'by' => $approach->user?->name,
            'kind' => $approach->kind->value, 'made_at' => $approach->made_at->toIso8601ZuluString(),
            'result' => $approach->result?->value, 'result_at' => $approach->result_at?->toIso8601ZuluString(),
            'later_on' => $approach->later_on?->toDateString(),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function contact(?Contact $contact): ?array
    {
        if ($contact === null) {
            return null;
        }

        return ['id' => $contact->id] + (EntriesInForce::now()->asked($contact->id) ? []
            : ['name' => $contact->name(), 'title' => $contact->title]);
    }
}
