<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Unreachable;
use App\KeepOut\EntriesInForce;
use App\Models\Budget;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Outcome;
use App\Support\AccountIds;
use App\Support\Together;
use Illuminate\Support\Collection;
use Luftig\Core\Buying\Authority;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/**
 * Asks services for somebody's address in the team's order, and stops at the first that the checker calls valid, or
 * that is accepted (rule 23). What a question may take is set aside before it is put, under a mark by which the service
 * knows it again: whoever is interrupted in between puts the same question, and it is paid once.
 */
final class Waterfall
{
    /** A service that failed so often in a row is left out. */
    public const FAILURES = 3;

    /** @var Collection<int, LookUpService> */
    private Collection $finders;

    private ?LookUpService $checker;

    /** @var array<int, int> service → failures in a row */
    private array $failures = [];

    private EntriesInForce $barred;

    public function __construct()
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
            if (($this->failures[$service->id] ?? 0) >= self::FAILURES) {
                $hasFailed = true;

                continue;
            }
            $lookUp = $this->setAside($run, $contact, $service);
            if (! $lookUp->isAnswered() && ! $this->answers($lookUp, $service, $contact)) {
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

    /** @return list<string> names of services that were left out */
    public function leftOut(): array
    {
        return array_values($this->finders->filter(
            fn (LookUpService $one): bool => ($this->failures[$one->id] ?? 0) >= self::FAILURES,
        )->pluck('name')->all());
    }

    /** The line of the ledger for a question: one that still holds, or a new one with what it may take. */
    private function setAside(LookUpRun $run, Contact $contact, LookUpService $service): LookUp
    {
        return Together::write(function () use ($run, $contact, $service): LookUp {
            // One after the other, so that two together spend no more than one may.
            Budget::query()->whereNull('user_id')->lockForUpdate()->first();
            Contact::query()->whereKey($contact->id)->lockForUpdate()->first();
            $there = LookUp::query()->lately()->where('contact_id', $contact->id)
                ->where('look_up_service_id', $service->id)->latest('id')->first();
            if ($there?->isAnswered() === true) {
                return $there;
            }
            if (Spending::leftTo($run->user, $run) < $service->price - ($there->price ?? 0)) {
                throw new BudgetIsSpent;
            }
            $line = $there ?? new LookUp([
                'look_up_service_id' => $service->id, 'contact_id' => $contact->id,
                'mark' => bin2hex(random_bytes(20)),
                'asked_at' => now(), 'size' => Authority::sizeClass($contact->account->headcount),
                'country' => $contact->account->headquarters()?->country,
            ]);
            $line->fill([
                'look_up_run_id' => $run->id, 'user_id' => $run->user_id, 'state' => LookUp::ASKED,
                'price' => $service->price,
            ])->save();
            LookUpRun::query()->whereKey($run->id)->update(['updated_at' => now()]);

            return $line;
        });
    }

    /** Whether an answer came; it stands in the ledger at once. */
    private function answers(LookUp $lookUp, LookUpService $service, Contact $contact): bool
    {
        try {
            $found = Services::of($service)->find($contact, $lookUp->mark);
        } catch (Unreachable $e) {
            // Where no answer came it may have been taken all the same: it stays set aside until it is asked again.
            $lookUp->update(
                ['state' => LookUp::FAILED, 'answered_at' => now()] + ($e->isRefused ? ['price' => 0] : []),
            );
            $this->failures[$service->id] = ($this->failures[$service->id] ?? 0) + 1;

            return false;
        }
        $this->failures[$service->id] = 0;
        $lookUp->update([
            'state' => $found->address === null ? LookUp::NOTHING : LookUp::FOUND, 'value' => $found->address,
            'price' => $found->price, 'answered_at' => now(),
        ]);

        return true;
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
