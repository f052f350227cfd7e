<?php

declare(strict_types=1);

namespace App\LookUps;

use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Figure;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Outcome;
use App\Support\AccountIds;
use App\Support\Format;
use App\Support\Together;
use Illuminate\Support\Collection;

/** Asks services for a figure of a company in the team's order, and stops at the first that knows it (rule 23). */
final readonly class AskFigure
{
    /** @var Collection<int, LookUpService> */
    private Collection $services;

    private EntriesInForce $barred;

    public function __construct(private Questions $questions)
    {
        $this->barred = EntriesInForce::now();
        $this->services = LookUpService::query()->that(LookUpService::KNOWS)->get();
    }

    /**
     * @return array{Outcome, string|null} and why
     *
     * @throws BudgetIsSpent before what it would have taken
     */
    public function ask(LookUpRun $run, Account $account, Figure $figure): array
    {
        if ($figure->isKnownOf($account)) {
            return [Outcome::Skipped, 'known meanwhile'];
        }
        if ($this->barred->account($account->id, $account->domain) !== null) {
            return [Outcome::Skipped, 'kept out'];
        }
        $hasFailed = false;
        foreach ($this->services as $service) {
            $line = $this->questions->put(
                $run, $service, $account, ['account_id' => $account->id, 'fact' => $figure->value],
                fn (string $mark): Found => Services::of($service)->know($account, $figure, $mark),
            );
            if ($line?->value !== null) {
                self::keep($account, $figure, (float) $line->value);

                return [Outcome::Found, "{$service->name}, ".Format::figure($figure, (float) $line->value)];
            }
            $hasFailed = $hasFailed || $line === null;
        }

        return $hasFailed ? [Outcome::Failed, 'a service did not answer'] : [Outcome::Nothing, null];
    }

    /** What somebody told meanwhile stays. */
    private static function keep(Account $account, Figure $figure, float $value): void
    {
        Together::write(function () use ($account, $figure, $value): void {
            Account::query()->whereKey($account->id)->whereNull($figure->value)
                ->update($figure->columns($value) + ['updated_at' => now()]);
            AccountIds::markStale([$account->id]);
        });
    }
}
