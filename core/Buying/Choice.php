<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

/** The few people of one account to contact now, and why each of the others is not among them (rule 9). */
final readonly class Choice
{
    public const MOST = 4;

    /** At most this part of the heads. */
    private const PART = 5;

    private const ENOUGH = 20.0;

    private const SHARED = .85;

    private const REST = 30;

    /**
     * @param  list<int|string>  $taken  in the order in which they were taken
     * @param  array<int|string, Skip>  $skipped
     */
    private function __construct(public array $taken, public array $skipped)
    {
    }

    /** How many of an account may be approached within 14 days: 4, at most a fifth of the heads, at least 1. */
    public static function most(?int $headcount): int
    {
        return max(1, min(self::MOST, $headcount === null ? self::MOST : intdiv($headcount, self::PART)));
    }

    /**
     * @param  iterable<Choosable>  $contacts
     * @param  int  $most  how many at most (Choice::most)
     * @param  float  $approached  how many approaches the account got in the last 14 days
     */
    public static function of(iterable $contacts, int $most, float $approached = 0): self
    {
        $left = max(0, $most - (int) ceil($approached));
        $skipped = $open = [];
        foreach ($contacts as $contact) {
            $skip = self::skip($contact);
            if ($skip === null) {
                $open[$contact->id] = $contact;
            } else {
                $skipped[$contact->id] = $skip;
            }
        }
        uasort(
            $open,
            static fn (Choosable $a, Choosable $b): int => $b->priority <=> $a->priority ?: $a->id <=> $b->id,
        );
        $weights = array_map(static fn (Choosable $contact): float => (float) $contact->priority, $open);
        $taken = [];
        while (count($taken) < $left && $weights !== []) {
            arsort($weights);
            // One speaks to whom the reason is about.
            $id = $taken === [] ? self::about($open) ?? array_key_first($weights) : array_key_first($weights);
            unset($weights[$id]);
            $taken[] = $id;
            foreach ($weights as $other => $weight) {
                if (($open[$other]->functions & $open[$id]->functions) !== 0) {
                    $weights[$other] = $weight * self::SHARED;
                }
            }
        }
        $taken = self::withSigner($taken, $open, $left);
        foreach (array_diff_key($open, array_flip($taken)) as $id => $_) {
            $skipped[$id] = Skip::AccountFull;
        }

        return new self($taken, $skipped);
    }

    private static function skip(Choosable $contact): ?Skip
    {
        return match (true) {
            $contact->keptOut => Skip::KeptOut,
            $contact->priority === null => Skip::NotEligible,
            $contact->reserved => Skip::Reserved,
            $contact->held => Skip::Held,
            $contact->approachedDaysAgo !== null && $contact->approachedDaysAgo <= self::REST => Skip::Approached,
            ! $contact->reachable => Skip::NoWay,
            $contact->priority < self::ENOUGH && ! $contact->about => Skip::Below20,
            default => null,
        };
    }

    /** @param  array<int|string, Choosable>  $open */
    private static function about(array $open): int|string|null
    {
        foreach ($open as $id => $contact) {
            if ($contact->about) {
                return $id;
            }
        }

        return null;
    }

    /**
     * If nobody taken signs off, the best who does is added, in place of the last if there is no more room.
     *
     * @param  list<int|string>  $taken
     * @param  array<int|string, Choosable>  $open  the best first
     * @return list<int|string>
     */
    private static function withSigner(array $taken, array $open, int $left): array
    {
        $signs = array_keys(array_filter(
            $open,
            static fn (Choosable $contact): bool => $contact->part === Part::SignsOff
                && $contact->priority >= self::ENOUGH,
        ));
        if ($left === 0 || $signs === [] || array_intersect($taken, $signs) !== []) {
            return $taken;
        }

        return [...array_slice($taken, 0, $left - 1), $signs[0]];
    }
}
