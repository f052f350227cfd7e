<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\Offer;
use Carbon\CarbonImmutable;
use Luftig\Core\Priority\Points;
use Luftig\Core\Signal\Timing;

/** What an approach met, kept with it: rule 20 learns from it, and it cannot be collected afterwards. */
final class Snapshot
{
    /** @return array{fit: float, access: float, kinds: array<string, float>, priority: float|null} */
    public static function of(Offer $offer, int $account, CarbonImmutable $at): array
    {
        return self::at(
            RuleBook::of($offer->rules ?? throw new \LogicException('An offer without rules is not approached for.')),
            $account,
            $at,
        );
    }

    /** @return array{fit: float, access: float, kinds: array<string, float>, priority: float|null} */
    public static function at(RuleBook $book, int $account, CarbonImmutable $at): array
    {
        return self::many($book, [$account], $at)[$account]
            ?? throw new \LogicException("There is no account {$account}.");
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, array{fit: float, access: float, kinds: array<string, float>, priority: float|null}>
     */
    public static function many(RuleBook $book, array $accounts, CarbonImmutable $at): array
    {
        $snapshots = [];
        $which = '`id` IN ('.implode(',', $accounts ?: [0]).')';
        foreach (FactsReader::for($at, $book)->read($which) as $id => $facts) {
            $timing = Timing::of($book->catalogue, $facts->seriesFor($book->offer), $at->getTimestamp());
            $fit = $book->profile->fitOf($facts->account)->value;
            $access = Standings::people($book, $facts, $timing)->access;
            $kinds = [];
            foreach ($timing->signals as $signal) {
                $part = $book->catalogue->of($signal->kind)->counts->sign()
                    * $signal->worth
                    * $signal->freshness
                    * $signal->novelty
                    * .5 ** (int) $signal->place;
                $kinds[$signal->kind->value] = ($kinds[$signal->kind->value] ?? 0.0) + $fit * $part;
            }
            $priority = $timing->hasReason()
                ? Points::of($fit, $timing->push, $access, $book->lines)->priority() : null;

            $snapshots[$id] = ['fit' => $fit, 'access' => $access, 'kinds' => $kinds, 'priority' => $priority];
        }

        return $snapshots;
    }
}
