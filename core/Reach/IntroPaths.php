<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

use Luftig\Core\Mistake;

/**
 * Who knows whom, as an undirected graph, and the strongest simple paths of at most three edges through it (rule 10): a
 * path is as strong as the product of its edges × .8^(edges − 1), and half as strong for each time that its introducer
 * was asked lately.
 */
final class IntroPaths
{
    /** So many are offered. */
    public const MOST = 5;

    /** What each edge after the first costs. */
    public const LOSS = .8;

    private const ASKED = .5;

    /** @var array<int|string, array<int|string, float>> */
    private array $edges = [];

    /** @param  iterable<array{int|string, int|string, float}>  $edges  two people, and how well they know each other */
    public static function through(iterable $edges): self
    {
        $paths = new self;
        foreach ($edges as [$one, $other, $strength]) {
            $paths->add($one, $other, $strength);
        }

        return $paths;
    }

    /**
     * Edges between the same two combine; nobody knows another better than by .95.
     *
     * @throws Mistake where a strength does not lie between 0 and 1
     */
    public function add(int|string $one, int|string $other, float $strength): void
    {
        if ($strength < 0 || $strength > 1) {
            throw Mistake::at('strength', 'The strength of a relation lies between 0 and 1.');
        }
        if ($one !== $other && $strength > 0) {
            $both = RelationStrength::together([$this->edges[$one][$other] ?? 0.0, $strength]);
            $this->edges[$one][$other] = $this->edges[$other][$one] = $both;
        }
    }

    /**
     * @param  array<int|string, int>  $asked  person → how often they were asked for an introduction in the last 30
     *     days
     * @return list<IntroPath> the strongest first; of equals the shorter
     */
    public function between(int|string $from, int|string $to, array $asked = [], int $most = self::MOST): array
    {
        $paths = [];
        if ($from === $to) {
            return [];
        }
        $near = $this->edges[$from] ?? [];
        $far = $this->edges[$to] ?? [];
        if (isset($near[$to])) {
            $paths[] = new IntroPath([$from, $to], $near[$to]);
        }
        foreach ($far as $last => $end) {
            if ($last === $from) {
                continue;
            }
            if (isset($near[$last])) {
                $strength = self::LOSS * $near[$last] * $end * self::ASKED ** ($asked[$last] ?? 0);
                $paths[] = new IntroPath([$from, $last, $to], $strength);
            }
            // The smaller of the two neighbourhoods is gone through.
            $beside = $this->edges[$last];
            foreach (count($near) < count($beside) ? $near : $beside as $first => $_) {
                if ($first !== $to && $first !== $from && $first !== $last && isset($near[$first], $beside[$first])) {
                    $strength = self::LOSS ** 2 * $near[$first] * $beside[$first] * $end
                        * self::ASKED ** ($asked[$first] ?? 0);
                    $paths[] = new IntroPath([$from, $first, $last, $to], $strength);
                }
            }
        }
        usort($paths, static fn (IntroPath $a, IntroPath $b): int => $b->strength <=> $a->strength
            ?: count($a->people) <=> count($b->people)
            ?: array_map(strval(...), $a->people) <=> array_map(strval(...), $b->people));

        return array_slice($paths, 0, $most);
    }
}
