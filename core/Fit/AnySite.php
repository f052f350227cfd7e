<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Mistake;

/** A question about a place that any site may answer, not the headquarters only (rule 4): the best of them counts. */
final readonly class AnySite implements Question
{
    /** @throws Mistake where the field is none of a place */
    public function __construct(CriterionField $field, private Question $of)
    {
        if (! $field->isOfSite()) {
            throw Mistake::at('any_site', "A criterion on {$field->value} has nothing to do with sites.");
        }
    }

    /** Unknown only where it is of every site that is known, as in the Finder. */
    public function membership(AccountFacts $account, bool $gate): ?float
    {
        $known = array_filter(
            array_map(
                fn (AccountFacts $site): ?float => $this->of->membership($site, $gate),
                [$account, ...$account->otherSites],
            ),
            static fn (?float $membership): bool => $membership !== null,
        );

        return $known === [] ? null : max($known);
    }
}
