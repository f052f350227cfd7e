<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Unreachable;
use App\KeepOut\EntriesInForce;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Outcome;
use App\Support\AccountIds;
use App\Support\Together;
use Illuminate\Support\Collection;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/**
 * Asks services for somebody's address in the team's order, and stops at the first that the checker calls valid, or
 * that is accepted (rule 23).
 */
final class Waterfall
{
    /** @var Collection<int, LookUpService> */
    private Collection $finders;

    private ?LookUpService $checker;

    private EntriesInForce $barred;

    public function __construct(private readonly Questions $questions)
    {
        $this->finders = LookUpService::query()->that(LookUpService::FINDS)->get();
        $this->checker = LookUpService::query()->that(LookUpService::CHECKS)->first();
        $this->barred = EntriesInForce::now();
    }

    /**
     * @return array{Outcome, string|null} and why
     *
     * @throws BudgetIsSpent before what it would have taken
     */
    public function ask(LookUpRun $run, Contact $contact): array
    {
        $doubtful = null;
        $hasFailed = false;
        foreach ($this->finders as $service) {
            $lookUp = $this->questions->put(
                $run, $service, $contact->account, ['contact_id' => $contact->id],
                fn (string $mark): Found => Services::of($service)->find($contact, $mark),
            );
            if ($lookUp === null) {
                $hasFailed = true;

                continue;
            }
            if ($lookUp->value === null || $this->barred->address($lookUp->value) !== null) {
                continue;
            }
            $state = $lookUp->verdict ?? $this->verdict($lookUp);
            if ($state === AddressState::Shared) {
                continue;
            }
            if ($state === AddressState::Valid || $run->accepts_doubtful && $state->chance() > 0) {
                return $this->keep($contact, $lookUp, $service, $state);
            }
            if ($state->chance() > ($doubtful === null ? 0 : $doubtful[1]->chance())) {
                $doubtful = [$lookUp, $state, $service];
            }
            // A house that takes whatever is sent confirms nobody's address: another service is paid for nothing.
            if ($state === AddressState::CatchAll) {
                break;
            }
        }
        if ($doubtful !== null) {
            return $this->keep($contact, $doubtful[0], $doubtful[2], $doubtful[1]);
        }

        return $hasFailed ? [Outcome::Failed, 'a service did not answer'] : [Outcome::Nothing, null];
    }

    /** What the checker says, at the second look where the first is doubtful; unknown where there is none. */
    private function verdict(LookUp $lookUp): AddressState
    {
        $state = AddressState::Unknown;
        if ($this->checker !== null) {
            try {
                $checker = Services::of($this->checker);
                $state = $checker->check((string) $lookUp->value);
                if ($state === AddressState::Unknown) {
                    $state = $checker->again((string) $lookUp->value);
                }
                $lookUp->update(['verdict' => $state]);
            } catch (Unreachable) {
                // It stays unchecked, and is checked when it is asked for again.
            }
        }

        return $state;
    }

    /** @return array{Outcome, string} */
    private function keep(Contact $contact, LookUp $lookUp, LookUpService $service, AddressState $state): array
    {
        Together::write(function () use ($contact, $lookUp, $service, $state): void {
            Channel::query()->updateOrCreate(
                ['contact_id' => $contact->id, 'type' => ChannelType::Email, 'value' => $lookUp->value],
                [
                    'state' => $state, 'chance' => null, 'source' => $service->name,
                    'checked_at' => $lookUp->verdict === null ? null : now(),
                ],
            );
            AccountIds::markStale([$contact->account_id]);
        });

        return [
            $state === AddressState::Valid ? Outcome::Found : Outcome::Doubtful,
            "{$service->name}, {$state->label()}",
        ];
    }
}
