<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\View\Today\PlanLines;

final class ShowPlan extends ForSomebody
{
    protected $signature = 'luftig:plan {--by= : address of whose day it is} {--offer=}';

    protected $description = 'Write whom somebody approaches today, and what to say';

    public function handle(): int
    {
        foreach (PlanLines::of($this->offer(), $this->by()) as $line) {
            $this->say((string) json_encode($line, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        }

        return self::SUCCESS;
    }
}
