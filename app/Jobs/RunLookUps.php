<?php

declare(strict_types=1);

namespace App\Jobs;

use App\LookUps\AskFigure;
use App\LookUps\BudgetIsSpent;
use App\LookUps\Questions;
use App\LookUps\StandingOrders;
use App\LookUps\Waterfall;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Figure;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Outcome;
use App\Standings\Standings;
use App\Support\Format;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Str;
use Throwable;

/**
 * Asks for the people and figures of a run one after the other, for a while, and leaves the rest to another turn, so
 * that long runs hold up nothing else. A worker that dies leaves it to be gone on with.
 */
final class RunLookUps implements ShouldQueue
{
    use Queueable;

    /** Seconds of a turn. */
    private const TURN = 30;

    /** Minutes without a sign after which its worker is taken for dead; a sign is given before each question. */
    private const SILENT = 1;

    public int $tries = 1;

    public int $timeout = 600;

    public function __construct(private readonly int $run)
    {
    }

    public function handle(Standings $standings): void
    {
        $turn = Str::random(16);
        $taken = LookUpRun::query()->whereKey($this->run)
            ->whereIn('state', [LookUpRun::QUEUED, LookUpRun::RUNNING])
            ->update(['state' => LookUpRun::RUNNING, 'worker' => $turn, 'updated_at' => now()]);
        if ($taken === 0) {
            return;
        }
        $run = LookUpRun::query()->with('user')->findOrFail($this->run);
        $questions = new Questions;
        $until = hrtime(true) + self::TURN * 1_000_000_000;
        try {
            while ($this->next($run, $questions, $turn)) {
                if (hrtime(true) > $until) {
                    self::dispatch($this->run);

                    return;
                }
            }
        } catch (BudgetIsSpent) {
            $this->end($run, $turn, LookUpRun::STOPPED, 'The next question could take more than may be spent. '
                .'What was found stays; raise the budget, or go on next month.');
        } finally {
            $standings->refresh();
        }
    }

    public function failed(Throwable $e): void
    {
        report($e);
        LookUpRun::query()->whereKey($this->run)->whereIn('state', [LookUpRun::QUEUED, LookUpRun::RUNNING])->update([
            'state' => LookUpRun::STOPPED,
            'problem' => 'Something went wrong on our side. What was found stays; go on with it.',
        ]);
    }

    /** Those whose worker has given no sign for a while go on. */
    public static function resume(): void
    {
        LookUpRun::query()->whereIn('state', [LookUpRun::QUEUED, LookUpRun::RUNNING])
            ->where('updated_at', '<', now()->subMinutes(self::SILENT))->pluck('id')
            ->each(fn (int $id) => self::dispatch($id));
    }

    /** What standing orders buy, once a night. */
    public static function byOrder(): void
    {
        foreach (StandingOrders::due() as $run) {
            self::dispatch($run->id);
        }
    }

    /** @return bool whether there is more to do */
    private function next(LookUpRun $run, Questions $questions, string $turn): bool
    {
        $run->refresh();
        if ($run->state !== LookUpRun::RUNNING || $run->worker !== $turn) {
            // Stopped, or another worker's, meanwhile.
            return false;
        }
        $run->touch();
        $there = $this->nextPerson($run, $questions) || $this->nextFigure($run, $questions);
        if (! $there) {
            $this->end($run, $turn, LookUpRun::FINISHED, self::problem($run));
        }

        return $there;
    }

    private function nextPerson(LookUpRun $run, Questions $questions): bool
    {
        $next = $run->people()->where('outcome', Outcome::Waiting->value)->orderBy('position')->value('contact_id');
        if ($next === null) {
            return false;
        }
        $contact = Contact::query()->with('account.places')->whereKey($next)->first();
        [$outcome, $why] = $contact === null ? [Outcome::Skipped, 'no longer there']
            : (new Waterfall($questions))->ask($run, $contact);
        $run->people()->where('contact_id', $next)->update(['outcome' => $outcome->value, 'why' => $why]);

        return true;
    }

    private function nextFigure(LookUpRun $run, Questions $questions): bool
    {
        $next = $run->figures()->where('outcome', Outcome::Waiting->value)->orderBy('position')->first();
        if ($next === null) {
            return false;
        }
        $account = Account::query()->with('places')->whereKey($next->account_id)->firstOrFail();
        [$outcome, $why] = (new AskFigure($questions))->ask($run, $account, Figure::from($next->fact));
        $run->figures()->where('account_id', $next->account_id)->where('fact', $next->fact)
            ->update(['outcome' => $outcome->value, 'why' => $why]);

        return true;
    }

    private static function problem(LookUpRun $run): ?string
    {
        $leftOut = LookUpService::query()->whereKey($run->left_out ?? [])->orderBy('position')->pluck('name')->all();

        return $leftOut === [] ? null : implode(', ', $leftOut).' did not answer '
            .Format::count(Questions::FAILURES, 'time').' in a row and '.(count($leftOut) === 1 ? 'was' : 'were')
            .' left out; whoever is still without an address can be asked for again.';
    }

    private function end(LookUpRun $run, string $turn, string $state, ?string $problem): void
    {
        LookUpRun::query()->whereKey($run->id)->where('worker', $turn)
            ->update(['state' => $state, 'problem' => $problem, 'finished_at' => now()]);
    }
}
