<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

use Luftig\Core\Person\Arrival;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PositionHeld;
use Luftig\Core\Signal\Kind;

/**
 * What somebody's positions say of the account where they are now (rule 2): new_leader, promotion, leadership_change
 * and customer_alum, each dated by the beginning of the present position. Where nothing is known of the time before it,
 * nobody is said to have joined or risen: that they are new in their position is shown, and no signal.
 */
final readonly class PeopleSignals
{
    /** From this authority on a position is a top position. */
    private const TOP = .7;

    private const BY_NAME = .6;

    /**
     * @param  list<BuyerRole>  $roles  of the offer
     * @param  array<int, list<array{int|null, int|null}>>  $customers  account → the periods in which it was a
     *     customer, in days since 1970-01-01
     */
    public function __construct(private array $roles, private array $customers)
    {
    }

    /**
     * @param  float  $confidence  of the source of the positions, 0–1
     * @return list<PeopleSignal>
     */
    public function of(
        Career $career,
        ?string $country,
        ?int $headcount,
        float $confidence = 1.0,
        bool $association = false,
    ): array {
        $now = $career->now;
        if ($now === null || $now->since === null || ! $now->title->status->holds()) {
            return [];
        }
        $role = RoleOfContact::best($this->roles, $now->title, $now->text, $country, $headcount, $association);
        $signals = [];
        $change = $this->change($career, $now, $role, $country, $headcount, $association);
        if ($change !== null) {
            $from = $career->arrival() === Arrival::Joined ? $career->earlier[0] : $career->positionBefore();
            $signals[] = new PeopleSignal(
                $change,
                $now->since,
                $change === Kind::LeadershipChange ? 1.0 : (float) $role?->authority,
                $confidence,
                $from,
            );
        }
        $joined = $career->atAccountSince() ?? $now->since;
        $customer = isset($this->customers[(int) $now->account]) ? null : $this->atCustomer($career, $joined);
        if ($customer !== null) {
            $signals[] = new PeopleSignal(
                Kind::CustomerAlum,
                $joined,
                $role?->isInRole() === true ? 1.0 : .5,
                $customer->byName ? min($confidence, self::BY_NAME) : $confidence,
                $customer,
            );
        }

        return $signals;
    }

    private function change(
        Career $career,
        PositionHeld $now,
        ?RoleOfContact $role,
        ?string $country,
        ?int $headcount,
        bool $association,
    ): ?Kind {
        $arrival = $career->arrival();
        if ($arrival === Arrival::Unknown || $role === null) {
            return null;
        }
        if (! $role->isInRole()) {
            return $role->authority >= self::TOP && $arrival !== Arrival::Moved ? Kind::LeadershipChange : null;
        }
        if ($arrival === Arrival::Joined) {
            return Kind::NewLeader;
        }
        $before = $career->positionBefore();
        $was = $before === null
            ? null
            : RoleOfContact::best($this->roles, $before->title, $before->text, $country, $headcount, $association);

        // Sideways within the same role is no news.
        return $arrival === Arrival::Promoted || $was === null || ! $was->isInRole() ? Kind::Promotion : null;
    }

    /**
     * An earlier position at a customer, held while it was one.
     *
     * @param  int  $joined  when they came to the account: a position whose end is not known had ended by then
     */
    private function atCustomer(Career $career, int $joined): ?PositionHeld
    {
        foreach ($career->earlier as $position) {
            if (
                $position->account === null
                || $position->account === $career->now?->account
                || $position->since === null && $position->until === null
            ) {
                continue;
            }
            foreach ($this->customers[$position->account] ?? [] as [$since, $until]) {
                if (
                    ($position->since ?? PHP_INT_MIN) <= ($until ?? PHP_INT_MAX)
                    && ($since ?? PHP_INT_MIN) <= ($position->until ?? $joined)
                ) {
                    return $position;
                }
            }
        }

        return null;
    }
}
