<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

use Luftig\Core\Mistake;

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
     * @param  array<string, float>|null  $weights  kind → weight w; null: as its points have it
     *
     * @throws Mistake where an observation has a kind that has no points
     */
    public static function from(
        float $fit,
        float $access,
        array $kinds,
        array $observations,
        ?array $weights = null,
    ): self {
        foreach ($observations as $i => $one) {
            $unknown = array_diff_key($one->kinds, $kinds);
            if ($unknown !== []) {
                throw Mistake::at("observations[$i].kinds.".array_key_first($unknown), 'This kind has no points.');
            }
        }
        $weights ??= array_map(static fn (float $points): float => $fit === 0.0 ? 0.0 : $points / $fit, $kinds);
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
        foreach ([false, true] as $shape) {
            $features = array_map(
                static fn (Observation $one): array => $one->features($names, $shape ? $weights : null),
                $observations,
            );
            foreach (self::WIDTHS as $width) {
                $models[] = Regression::fit(
                    $features,
                    $answered,
                    $shape ? [...$means, 0.0, 0.0, 0.0] : $means,
                    [...array_fill(0, count($means), $width), ...$shape ? self::MORE_WIDTHS : []],
                );
                $tried[] = ['width' => $width, 'shape' => $shape, 'evidence' => end($models)->evidence];
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
            $tried[$best]['shape'] ? [$line($more, 0.0), $line($more + 1, 0.0), $line($more + 2, 0.0)] : null,
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
}
