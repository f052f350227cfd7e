<?php

declare(strict_types=1);

namespace App\Listeners;

use App\Events\RulesSaved;
use App\Jobs\RefreshStandings;
use App\Models\Account;
use App\Standings\Standings;

/** The ranking follows the rules. */
final readonly class FollowRules
{
    /** Up to so many accounts a change of rules takes effect at once; more are computed in the background. */
    private const AT_ONCE = 5000;

    public function __construct(private Standings $standings)
    {
    }

    public function handle(RulesSaved $saved): void
    {
        $job = RefreshStandings::ofEverything($saved->offer);
        Account::query()->count() <= self::AT_ONCE ? $job->handle($this->standings) : dispatch($job);
    }
}
