<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Unreachable;
use App\Models\Account;
use App\Models\Budget;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Support\Together;
use Closure;
use Luftig\Core\Buying\Authority;

/**
 * Puts questions to services, each with a line of the ledger. What a question may take is set aside before it is put,
 * under a mark by which the service knows it again: whoever is interrupted in between puts the same question, and it is
 * paid once. One that holds still is not put again.
 */
final class Questions
{
    /** A service that failed so often in a row is left out of the run, until somebody goes on with it. */
    public const FAILURES = 3;

    /** @var array<int, int> service → failures in a row */
    private array $failures = [];

    /**
     * @param  array<string, int|string>  $about  the columns of the ledger that say what is asked
     * @param  Closure(string): Found  $ask  puts the question under a mark
     * @return LookUp|null the line with its answer; null where none came
     *
     * @throws BudgetIsSpent before what it would have taken
     */
    public function put(LookUpRun $run, LookUpService $service, Account $account, array $about, Closure $ask): ?LookUp
    {
        if (in_array($service->id, $run->left_out ?? [], true)) {
            return null;
        }
        $line = self::setAside($run, $service, $account, $about);
        if ($line->isAnswered() || $this->answers($line, $service, $ask)) {
            return $line;
        }
        if ($this->failures[$service->id] >= self::FAILURES) {
            $run->update(['left_out' => [...$run->left_out ?? [], $service->id]]);
        }

        return null;
    }

    /**
     * The line of the ledger for a question: one that still holds, or a new one with what it may take.
     *
     * @param  array<string, int|string>  $about
     */
    private static function setAside(LookUpRun $run, LookUpService $service, Account $account, array $about): LookUp
    {
        return Together::write(function () use ($run, $service, $account, $about): LookUp {
            // One after the other, so that two together spend no more than one may.
            Budget::query()->whereNull('user_id')->lockForUpdate()->first();
            Account::query()->whereKey($account->id)->lockForUpdate()->first();
            $there = LookUp::query()->lately()->where($about)->where('look_up_service_id', $service->id)->latest('id')
                ->first();
            if ($there?->isAnswered() === true) {
                return $there;
            }
            if (Spending::leftTo($run->user, $run) < $service->price - ($there->price ?? 0)) {
                throw new BudgetIsSpent;
            }
            $line = $there ?? new LookUp($about + [
                'look_up_service_id' => $service->id, 'mark' => bin2hex(random_bytes(20)), 'asked_at' => now(),
                'size' => Authority::sizeClass($account->headcount), 'country' => $account->headquarters()?->country,
            ]);
            $line->fill([
                'look_up_run_id' => $run->id, 'user_id' => $run->user_id, 'state' => LookUp::ASKED,
                'price' => $service->price,
            ])->save();
            LookUpRun::query()->whereKey($run->id)->update(['updated_at' => now()]);

            return $line;
        });
    }

    /**
     * Whether an answer came; it stands in the ledger at once.
     *
     * @param  Closure(string): Found  $ask
     */
    private function answers(LookUp $line, LookUpService $service, Closure $ask): bool
    {
        try {
            $found = $ask($line->mark);
        } catch (Unreachable $e) {
            // Where no answer came it may have been taken all the same: it stays set aside until it is asked again.
            $line->update(
                ['state' => LookUp::FAILED, 'answered_at' => now()] + ($e->isRefused ? ['price' => 0] : []),
            );
            $this->failures[$service->id] = ($this->failures[$service->id] ?? 0) + 1;

            return false;
        }
        unset($this->failures[$service->id]);
        $line->update([
            'state' => $found->value === null ? LookUp::NOTHING : LookUp::FOUND, 'value' => $found->value,
            'price' => $found->price, 'answered_at' => now(),
        ]);

        return true;
    }
}
