<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

use Luftig\Core\Mistake;
use Luftig\Core\Priority\PointLines;
use Luftig\Core\Priority\Points;
use Luftig\Core\Signal\KindRule;

/**
 * The points that results speak for (rule 20): the model of the priority itself, fitted to who answered, drawn towards
 * the points in force; how strongly, and whether three more lines belong to it, the evidence decides.
 */
final readonly class Learned
{
    /** Results of either sort that are needed. */
    public const LEAST = 15;

    private const WIDTHS = [.4, .8, 1.2, 1.8];

    /** Of the three more lines: Fit above a half, reachable, signals whatever the fit. */
    private const MORE_WIDTHS = [1.0, 1.0, 1.2];

    /** 90 % of a normal distribution lie within so many standard deviations. */
    private const Z = 1.6448536269514722;

    private const POINTS = 10.0;

    /**
     * @param  array<string, Line>  $kinds
     * @param  list<Line>|null  $shape  the three more lines, where they were chosen
     * @param  list<array{width: float, shape: bool, evidence: float}>  $tried
     */
    private function __construct(
        public Line $fit,
        public Line $access,
        public array $kinds,
        public ?array $shape,
        public ?float $intercept,
        public ?float $width,
        public ?float $evidence,
        public array $tried,
        public bool $isEnough,
        private ?Regression $model,
        /** @var array<string, float> */
        private array $weights,
    ) {
    }

    /**
     * @param  float  $fit  points in force for a fit of 1
     * @param  float  $access  points in force for an access of 1
     * @param  array<string, float>  $kinds  kind → points in force
     * @param  list<Observation>  $observations
     * @param  array{float, float, float}  $shape  points in force of the three more lines
     * @param  array<string, float>|null  $weights  kind → weight w; null: as its points have it, 25 to a weight of 1
     *
     * @throws Mistake where an observation has a kind that has no points
     */
    public static function from(
        float $fit,
        float $access,
        array $kinds,
        array $observations,
        ?array $weights = null,
        array $shape = [0.0, 0.0, 0.0],
    ): self {
        foreach ($observations as $i => $one) {
            $unknown = array_diff_key($one->kinds, $kinds);
            if ($unknown !== []) {
                throw Mistake::at("observations[$i].kinds.".array_key_first($unknown), 'This kind has no points.');
            }
        }
        $weights ??= array_map(static fn (float $points): float => $points / Points::FIT, $kinds);
        $answered = array_map(static fn (Observation $one): bool => $one->answered, $observations);
        $yes = count(array_filter($answered));
        $same = static fn (float $points): Line => new Line($points, $points, $points, $points);
        if (min($yes, count($answered) - $yes) < self::LEAST) {
            return new self(
                $same($fit), $same($access), array_map($same, $kinds), null, null, null, null, [], false, null,
                $weights,
            );
        }
        $names = array_keys($kinds);
        $means = array_map(
            static fn (float $points): float => $points / self::POINTS,
            [$fit, $access, ...array_values($kinds)],
        );
        $tried = $models = [];
        foreach ([false, true] as $shaped) {
            $features = array_map(
                static fn (Observation $one): array => $one->features($names, $shaped ? $weights : null),
                $observations,
            );
            foreach (self::WIDTHS as $width) {
                $models[] = Regression::fit(
                    $features,
                    $answered,
                    $shaped ? [...$means, ...array_map(
                        static fn (float $points): float => $points / self::POINTS,
                        $shape,
                    )] : $means,
                    [...array_fill(0, count($means), $width), ...$shaped ? self::MORE_WIDTHS : []],
                );
                $tried[] = ['width' => $width, 'shape' => $shaped, 'evidence' => end($models)->evidence];
            }
        }
        $best = array_search(max(array_column($tried, 'evidence')), array_column($tried, 'evidence'), true);
        $model = $models[$best];
        $line = static function (int $at, float $before) use ($model): Line {
            [$after, $by] = [self::POINTS * $model->lines[$at], self::POINTS * self::Z * $model->deviations[$at]];

            return new Line($before, $after, $after - $by, $after + $by);
        };
        $learned = [];
        foreach ($names as $i => $name) {
            $learned[$name] = $line(3 + $i, $kinds[$name]);
        }
        $more = 3 + count($names);

        return new self(
            $line(1, $fit),
            $line(2, $access),
            $learned,
            $tried[$best]['shape'] ? array_map(
                static fn (float $before, int $i): Line => $line($more + $i, $before),
                $shape,
                array_keys($shape),
            ) : null,
            $model->lines[0],
            $tried[$best]['width'],
            $tried[$best]['evidence'],
            $tried,
            true,
            $model,
            $weights,
        );
    }

    /** The chance of an answer, as the results have it; null where there are too few of them. */
    public function chance(Observation $one): ?float
    {
        return $this->model?->chance(
            $one->features(array_keys($this->kinds), $this->shape === null ? null : $this->weights),
        );
    }

    /** @return array<string, float> kind → the weight it would have as a rule; what speaks the other way weighs 0 */
    public function weights(): array
    {
        return array_map(
            static fn (Line $line): float => (float) min(KindRule::HEAVIEST, max(0.0, $line->after / Points::FIT)),
            $this->kinds,
        );
    }

    /**
     * The lines as rules: fit and access are worth no less than nothing, and every account starts where the approaches
     * that were learned from have as many points as before, in the mean.
     *
     * @param  float  $start  where they start by the rules that were learned upon
     * @param  list<Observation>  $observations  that were learned from
     */
    public function rules(float $start, array $observations): PointLines
    {
        $worth = static fn (float $points): float => (float) min(PointLines::MOST, max(0.0, $points));
        $shape = array_map(
            static fn (Line $line): float => (float) max(-PointLines::MOST, min(PointLines::MOST, $line->after)),
            $this->shape ?? [],
        );
        $lines = fn (float $start): PointLines => new PointLines(
            $start, $worth($this->fit->after), $worth($this->access->after), ...$shape,
        );
        $before = new PointLines($start, $this->fit->before, $this->access->before);
        $weights = array_map(static fn (Line $line): float => $line->before / Points::FIT, $this->kinds);
        $shift = 0.0;
        foreach ($observations as $one) {
            $shift += ($one->points($before, $weights) - $one->points($lines($start), $this->weights()))
                / count($observations);
        }

        return $lines((float) max(-PointLines::MOST, min(PointLines::MOST, $start + $shift)));
    }
}
