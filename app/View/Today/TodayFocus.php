<?php

declare(strict_types=1);

namespace App\View\Today;

use App\KeepOut\EntriesInForce;
use App\Models\Offer;
use App\Models\User;
use App\View\Network\Way;
use App\View\Ways;

/** The approach in focus, and what can be done with its words. */
final readonly class TodayFocus
{
    public ?Ways $ways;

    /** @param  User  $rep  who looks */
    public function __construct(
        public Offer $offer,
        public ?PlanRow $focus,
        private User $rep,
        private EntriesInForce $barred,
    ) {
        $this->ways = match (true) {
            $focus === null => null,
            $focus->reason !== null => Ways::byReason(
                $focus->reason->setRelation('contact', $focus->contact), $focus->draft->subject(), $barred,
                ['next' => 'today'],
            ),
            default => Ways::toAccount($focus->standing->account, $focus->contact, $focus->draft, $barred),
        };
    }

    /** The strongest way to them through somebody, where there is one. */
    public function wayIn(): ?Way
    {
        $contact = $this->focus?->contact;

        return $contact === null || $contact->intro <= 0
            ? null : Way::to($contact, $this->rep, 1, $this->barred)[0] ?? null;
    }

    /** Of one account alone; the day is not planned anew for it. Where it is no longer there, the first of the plan. */
    public static function of(Offer $offer, User $rep, int $account, int $to = 0, string $angle = ''): self
    {
        $plan = new Plan($offer, $rep);
        $row = $plan->row($account) ?? array_merge(...array_values($plan->groups()))[0] ?? null;

        return new self($offer, $row === null ? null : $plan->addressed($row, $to, $angle), $rep, $plan->barred);
    }
}
