<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\ReasonRecorded;
use App\Events\ResultRecorded;
use App\Exports\Announcement;
use App\Jobs\SendAnnouncements;
use App\Models\EventDelivery;
use App\Models\EventTarget;

/** Whoever is to be told of what was recorded is told of it soon; what is not recorded after all is told to nobody. */
final class TellTargets
{
    public function handle(ReasonRecorded|ResultRecorded $event): void
    {
        [$type, $id] = $event instanceof ReasonRecorded
            ? [Announcement::REASON, $event->reason->id] : [Announcement::RESULT, $event->approach->id];
        $targets = EventTarget::query()->where('paused', false)->pluck('id');
        foreach ($targets as $target) {
            EventDelivery::query()->create([
                'event_target_id' => $target, 'type' => $type, 'subject_id' => $id, 'next_at' => now(),
            ]);
        }
        if ($targets->isNotEmpty()) {
            SendAnnouncements::dispatch()->afterCommit();
        }
    }
}
