<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/**
 * What runs where, since when, and what came and went (rule 24): in use since the first visit or posting that showed
 * it; adopted, where an earlier visit, at least 7 days before, did not show it; dropped, where it was not shown at two
 * visits in a row, 7 days apart or more, dated by the second. A single visit that does not show it changes nothing.
 */
final class TechnologyHistory
{
    /**
     * @param  list<Visit>  $visits  of one page
     * @param  list<array{float, string}>  $postings  when one named which technology
     * @param  array<string, string>  $groups  variant → what it counts as
     * @return list<Usage> by name
     */
    public static function of(array $visits, array $postings = [], array $groups = []): array
    {
        $keys = [];
        foreach ($groups as $variant => $group) {
            $keys[Technology::key($variant)] = $group;
        }
        $called = static fn (string $name): string => $keys[Technology::key($name)] ?? $name;
        $happened = $usages = [];
        foreach ($visits as $visit) {
            if ($visit->reached) {
                $shown = [];
                foreach ($visit->found as [$name, $by]) {
                    $shown[Technology::key($called($name))][] = $by;
                    $usages[Technology::key($called($name))] ??= new Usage($called($name));
                }
                $happened[] = [$visit->at, $shown, null];
            }
        }
        foreach ($postings as [$at, $name]) {
            $usages[Technology::key($called($name))] ??= new Usage($called($name));
            $happened[] = [$at, [], Technology::key($called($name))];
        }
        usort($happened, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($happened as [$at, $shown, $named]) {
            foreach ($usages as $key => $usage) {
                if ($named === null) {
                    $usage->visited($at, $shown[$key] ?? []);
                } elseif ($named === $key) {
                    $usage->named($at);
                }
            }
        }
        usort($usages, static fn (Usage $a, Usage $b): int => $a->name <=> $b->name);

        return $usages;
    }
}
