<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/**
 * Openings told from postings (rule 17): employer, folded title and place agree, and there are at most 45 days between
 * one posting and the next, so that one which is put up again every month stays one opening. A place that is not known
 * agrees with one that is not known. What an agency advertises counts for nobody.
 */
final class Openings
{
    private const SECONDS = 45 * 86_400;

    /**
     * @param  list<Posting>  $postings
     * @param  RoleOfInterest|null  $role  null: every opening counts in full
     * @return list<Opening> in the order of their first posting
     */
    public static function of(array $postings, ?RoleOfInterest $role = null): array
    {
        usort($postings, static fn (Posting $a, Posting $b): int => $a->at <=> $b->at);
        $groups = $last = [];
        foreach ($postings as $posting) {
            $group = $last[$posting->key] ?? null;
            if ($group === null || $posting->at - end($groups[$group])->at > self::SECONDS) {
                $last[$posting->key] = $group = count($groups);
            }
            $groups[$group][] = $posting;
        }

        return array_map(static fn (array $group): Opening => new Opening(
            $group,
            array_filter($group, static fn (Posting $one): bool => $one->agency !== null) === []
                ? max(array_map(static fn (Posting $one): float => self::counts($one, $role), $group))
                : 0.0,
        ), array_values($groups));
    }

    /** @param  list<Opening>  $openings */
    public static function strength(array $openings): float
    {
        return 1 - .5 ** array_sum(array_map(static fn (Opening $one): float => $one->counts, $openings));
    }

    private static function counts(Posting $posting, ?RoleOfInterest $role): float
    {
        if ($role === null) {
            return 1.0;
        }
        $byTitle = (int) $role->titleMatches($posting->title);
        $byText = $role->text === null ? $byTitle : (int) $role->textMatches($posting->title, $posting->text);

        return $role->asksFor($posting) ? ($byTitle + $byText) / 2 : 0.0;
    }
}
