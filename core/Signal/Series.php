<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/**
 * The signals of one kind of one account, oldest first, as parallel columns.
 *
 * Columns rather than objects, because two million signals are weighed in one run.
 */
final class Series
{
    private const DAY = 86400;

    private const QUARTER = 90 * self::DAY;

    /** @var array<int, float> position → novelty, once it was asked for */
    private array $novelty = [];

    /**
     * @param  list<int|string>  $ids
     * @param  list<float|int>  $times  Unix seconds, ascending
     * @param  list<float>  $worth  strength times confidence, 0–1
     * @param  array<int, float|int>  $since  position → Unix seconds at which a lasting signal began
     */
    public function __construct(
        public Kind $kind,
        public array $ids,
        public array $times,
        public array $worth,
        public array $since = [],
    ) {
    }

    /**
     * @param  iterable<Signal>  $signals  in any order
     * @return array<string, self> by kind
     */
    public static function group(iterable $signals): array
    {
        $kinds = [];
        foreach ($signals as $signal) {
            $kinds[$signal->kind->value][] = $signal;
        }

        return array_map(static function (array $group): self {
            usort($group, static fn (Signal $a, Signal $b): int => $a->at <=> $b->at);
            $since = [];
            foreach ($group as $i => $signal) {
                if ($signal->since !== null) {
                    $since[$i] = $signal->since;
                }
            }

            return new self(
                $group[0]->kind,
                array_map(static fn (Signal $s): int|string => $s->id, $group),
                array_map(static fn (Signal $s): float => $s->at, $group),
                array_map(static fn (Signal $s): float => $s->strength * $s->confidence, $group),
                $since,
            );
        }, $kinds);
    }

    /**
     * How unusual the signal at a position is, above 0 up to 1 (rule 3): 1 ÷ (1 + u ÷ 6), where u counts
     * the signals of the kind 30 (exclusive) to 365 (inclusive) days before it, and, for a lasting kind, the whole
     * quarters from its beginning to its date (its date and not today, so that a standing fact keeps its novelty).
     */
    public function novelty(int $position): float
    {
        return $this->novelty[$position] ??= $this->computeNovelty($position);
    }

    private function computeNovelty(int $position): float
    {
        $at = $this->times[$position];
        $usual = 0;
        for ($i = $position - 1; $i >= 0; $i--) {
            $before = $at - $this->times[$i];
            if ($before > 365 * self::DAY) {
                break;
            }
            if ($before > 30 * self::DAY) {
                $usual++;
            }
        }
        if (isset($this->since[$position]) && $this->kind->lasts()) {
            $usual += max(0, (int) floor(($at - $this->since[$position]) / self::QUARTER));
        }

        return 1 / (1 + $usual / 6);
    }
}
