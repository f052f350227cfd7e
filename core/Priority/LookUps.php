<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

/**
 * Which look-ups pay (rule 23): each is expected to gain the chance that the service finds somebody × what the priority
 * would rise by × the account's share of a day's plan; those of most gain a credit come first, until the budget ends.
 */
final readonly class LookUps
{
    /**
     * @param  list<LookUp>  $proposed  of most gain a credit first
     * @param  float  $gain  of all of them
     * @param  float  $cost  credits
     */
    private function __construct(public array $proposed, public float $gain, public float $cost)
    {
    }

    /**
     * Of several services for one person that of most gain a credit is proposed; what no longer fits the budget is
     * passed over.
     *
     * @param  list<LookUp>  $candidates
     * @param  float  $budget  credits
     */
    public static function within(float $budget, array $candidates): self
    {
        usort($candidates, static fn (LookUp $a, LookUp $b): int => [
            $b->perCredit(), $b->gain(), (string) $a->id, $a->service,
        ] <=> [$a->perCredit(), $a->gain(), (string) $b->id, $b->service]);
        $proposed = [];
        $gain = $cost = 0.0;
        foreach ($candidates as $one) {
            if ($one->gain() > 0 && ! isset($proposed[$one->id]) && $cost + $one->price <= $budget + 1e-9) {
                $proposed[$one->id] = $one;
                $gain += $one->gain();
                $cost += $one->price;
            }
        }

        return new self(array_values($proposed), $gain, $cost);
    }
}
