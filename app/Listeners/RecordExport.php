<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\RecordsExported;

/** Who took what out stands in the log; whom it names does not, so that an erasure has nothing to do there. */
final class RecordExport
{
    public function handle(RecordsExported $event): void
    {
        activity()->causedBy($event->by)
            ->withProperties(['format' => $event->format, 'address' => mb_substr($event->address, 0, 2000)])
            ->log('exported');
    }
}
