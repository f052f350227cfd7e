<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\PasswordChanged;

final class RecordPassword
{
    public function handle(PasswordChanged $event): void
    {
        activity()->performedOn($event->of)->causedBy($event->by)->log('password changed');
    }
}
