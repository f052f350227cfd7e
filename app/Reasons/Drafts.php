<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Contact;
use App\Models\Offer;
use App\Standings\SignalLine;
use Luftig\Core\Reason\Draft;
use Luftig\Core\Reason\Evidence;

/** Gives the core what a draft is made of. */
final class Drafts
{
    private const MOST = 2;

    /**
     * From what is fresh; where nothing is, a plan may be led by what fades, a reason not.
     *
     * @param  list<SignalLine>  $lines
     */
    public static function of(Offer $offer, string $account, ?Contact $to, array $lines, bool $onlyFresh = false): Draft
    {
        $sayable = self::sayable($to, $lines);
        $fresh = array_values(array_filter($sayable, fn (SignalLine $line): bool => $line->isFresh()));
        $evidence = array_map(fn (SignalLine $line): Evidence => new Evidence(
            $line->kind,
            $line->signal->title,
            $line->signal->contact?->first_name,
            $to !== null && $line->signal->contact_id === $to->id,
        ), $fresh !== [] || $onlyFresh ? $fresh : $sayable);

        return Draft::of($account, $to?->first_name, $evidence, $offer->question);
    }

    /**
     * What the words of a reason rest on: the first of each kind that is fresh, at most two.
     *
     * @param  list<SignalLine>  $lines
     * @return list<SignalLine>
     */
    public static function restsOn(?Contact $to, array $lines): array
    {
        $kinds = [];
        foreach (self::sayable($to, $lines) as $line) {
            if ($line->isFresh()) {
                $kinds[$line->kind->value] ??= $line;
            }
        }

        return array_slice(array_values($kinds), 0, self::MOST);
    }

    /**
     * Of their own first; what happened to a colleague last.
     *
     * @param  list<SignalLine>  $lines
     * @return list<SignalLine>
     */
    private static function sayable(?Contact $to, array $lines): array
    {
        $sayable = array_values(array_filter($lines, fn (SignalLine $line): bool => $line->mayBeSaid()));
        usort($sayable, fn (SignalLine $a, SignalLine $b): int => self::distance($a, $to) <=> self::distance($b, $to));

        return $sayable;
    }

    private static function distance(SignalLine $line, ?Contact $to): int
    {
        return match ($line->signal->contact_id) {
            null => 1,
            $to?->id => 0,
            default => 2,
        };
    }
}
