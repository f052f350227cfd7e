<?php

declare(strict_types=1);

namespace App\View\Reasons;

use App\Models\Contact;
use App\Models\Offer;
use App\View\Line;
use Luftig\Core\Reason\Draft;
use Luftig\Core\Reason\Evidence;

/** Gives the core what a draft is made of. */
final class Drafting
{
    private const MOST = 2;

    /**
     * From what is fresh; where nothing is, a plan may be led by what fades, a reason not.
     *
     * @param  list<Line>  $lines
     */
    public static function of(Offer $offer, string $account, ?Contact $to, array $lines, bool $onlyFresh = false): Draft
    {
        $sayable = self::sayable($to, $lines);
        $fresh = array_values(array_filter($sayable, fn (Line $line): bool => $line->isFresh()));
        $evidence = array_map(fn (Line $line): Evidence => new Evidence(
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
     * @param  list<Line>  $lines
     * @return list<Line>
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
     * @param  list<Line>  $lines
     * @return list<Line>
     */
    private static function sayable(?Contact $to, array $lines): array
    {
        $sayable = array_values(array_filter($lines, fn (Line $line): bool => $line->mayBeSaid()));
        usort($sayable, fn (Line $a, Line $b): int => self::distance($a, $to) <=> self::distance($b, $to));

        return $sayable;
    }

    private static function distance(Line $line, ?Contact $to): int
    {
        return match ($line->signal->contact_id) {
            null => 1,
            $to?->id => 0,
            default => 2,
        };
    }
}
