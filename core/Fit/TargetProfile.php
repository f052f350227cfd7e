<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

/** Whom an offer serves: gates and weighted criteria (rule 4). */
final readonly class TargetProfile
{
    private const UNKNOWN = .5;

    private const UNVERIFIED = .8;

    /** @var list<Criterion> */
    public array $criteria;

    public function __construct(Criterion ...$criteria)
    {
        $this->criteria = array_values($criteria);
    }

    public function fitOf(AccountFacts $account): Fit
    {
        $all = 0.0;
        $known = 0.0;
        $met = 0.0;
        $out = null;
        $unverified = [];
        $memberships = [];
        foreach ($this->criteria as $criterion) {
            $gate = $criterion->mode !== Mode::Prefer;
            $membership = $criterion->test->membership($account, $gate);
            $memberships[] = $membership;
            if (! $gate) {
                $all += $criterion->weight;
                if ($membership !== null) {
                    $known += $criterion->weight;
                    $met += $criterion->weight * $membership;
                }
            } elseif ($membership === null) {
                $unverified[] = $criterion->name;
            } elseif ($out === null && ($membership > 0) === ($criterion->mode === Mode::MustNot)) {
                $out = $criterion->name;
            }
        }
        $factor = $unverified === [] ? 1.0 : self::UNVERIFIED;
        if ($all <= 0) {
            return new Fit($factor, 1.0, $factor, $factor, $out, $unverified, $memberships);
        }

        return new Fit(
            // Sums of parts may miss the whole by the last digit.
            min($factor, $factor * ($met + self::UNKNOWN * ($all - $known)) / $all),
            min(1.0, $known / $all),
            min($factor, $factor * $met / $all),
            min($factor, $factor * ($met + $all - $known) / $all),
            $out,
            $unverified,
            $memberships,
        );
    }
}
