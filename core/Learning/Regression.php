<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

/**
 * Logistic regression with a Gaussian prior on each line and a free intercept, at its optimum (Newton's steps to 1e-8),
 * with its evidence by Laplace: log likelihood + log prior − ½ log det of the Hessian.
 */
final readonly class Regression
{
    private const STEPS = 100;

    private const EXACT = 1e-8;

    /**
     * @param  list<float>  $lines  the intercept first
     * @param  list<float>  $deviations  of the lines
     */
    private function __construct(public array $lines, public array $deviations, public float $evidence)
    {
    }

    /**
     * @param  list<list<float>>  $features  of each observation, the intercept's 1 first
     * @param  list<bool>  $answered
     * @param  list<float>  $means  of the prior, without the intercept
     * @param  list<float>  $widths
     */
    public static function fit(array $features, array $answered, array $means, array $widths): self
    {
        $yes = count(array_filter($answered));
        $lines = [log(max($yes, .5) / max(count($answered) - $yes, .5)), ...$means];
        for ($step = 0; $step < self::STEPS; $step++) {
            [$gradient, $hessian] = self::derivatives($features, $answered, $lines, $means, $widths);
            $change = Matrix::of($hessian)->solve($gradient);
            // A step that leads up too far is halved, until it leads up at all.
            $before = self::logPosterior($features, $answered, $lines, $means, $widths);
            for ($scale = 1.0; $scale > 1e-10; $scale /= 2) {
                $next = array_map(static fn (float $one, float $by): float => $one + $scale * $by, $lines, $change);
                if (self::logPosterior($features, $answered, $next, $means, $widths) >= $before - 1e-12) {
                    break;
                }
            }
            $lines = $next;
            if (max([0.0, ...array_map(abs(...), $change)]) < self::EXACT) {
                break;
            }
        }
        [, $hessian] = self::derivatives($features, $answered, $lines, $means, $widths);
        $matrix = Matrix::of($hessian);

        return new self(
            $lines,
            array_map(sqrt(...), $matrix->inverseDiagonal()),
            self::logPosterior($features, $answered, $lines, $means, $widths) - $matrix->logDeterminant() / 2,
        );
    }

    /** @param  list<float>  $features */
    public function chance(array $features): float
    {
        return self::sigmoid(self::sum($this->lines, $features));
    }

    /**
     * @param  list<list<float>>  $features
     * @param  list<bool>  $answered
     * @param  list<float>  $lines
     * @param  list<float>  $means
     * @param  list<float>  $widths
     * @return array{list<float>, list<list<float>>} of the log posterior: its slope, and its curvature turned round
     */
    private static function derivatives(
        array $features,
        array $answered,
        array $lines,
        array $means,
        array $widths,
    ): array {
        $n = count($lines);
        $gradient = array_fill(0, $n, 0.0);
        $hessian = array_fill(0, $n, array_fill(0, $n, 0.0));
        foreach ($features as $row => $x) {
            $p = self::sigmoid(self::sum($lines, $x));
            $miss = ($answered[$row] ? 1.0 : 0.0) - $p;
            $weight = $p * (1 - $p);
            foreach ($x as $i => $one) {
                if ($one === 0.0) {
                    continue;
                }
                $gradient[$i] += $miss * $one;
                $times = $weight * $one;
                for ($j = 0; $j <= $i; $j++) {
                    $hessian[$i][$j] += $times * $x[$j];
                }
            }
        }
        foreach ($means as $k => $mean) {
            $gradient[$k + 1] -= ($lines[$k + 1] - $mean) / $widths[$k] ** 2;
            $hessian[$k + 1][$k + 1] += 1 / $widths[$k] ** 2;
        }
        // The intercept is free; a hair of curvature keeps the matrix whole where the data say nothing of it.
        $hessian[0][0] += 1e-12;
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 1; $j < $n; $j++) {
                $hessian[$i][$j] = $hessian[$j][$i];
            }
        }

        return [array_values($gradient), array_map(array_values(...), $hessian)];
    }

    /**
     * @param  list<list<float>>  $features
     * @param  list<bool>  $answered
     * @param  list<float>  $lines
     * @param  list<float>  $means
     * @param  list<float>  $widths
     */
    private static function logPosterior(
        array $features,
        array $answered,
        array $lines,
        array $means,
        array $widths,
    ): float {
        $sum = 0.0;
        foreach ($features as $row => $x) {
            $z = self::sum($lines, $x);
            // log σ(±z), without overflow
            $sum -= log1p(exp(-abs($z))) + max(0.0, $answered[$row] ? -$z : $z);
        }
        foreach ($means as $k => $mean) {
            $sum -= (($lines[$k + 1] - $mean) / $widths[$k]) ** 2 / 2 + log($widths[$k] * sqrt(2 * M_PI));
        }

        return $sum;
    }

    /**
     * @param  list<float>  $lines
     * @param  list<float>  $features
     */
    private static function sum(array $lines, array $features): float
    {
        $sum = 0.0;
        foreach ($lines as $i => $line) {
            $sum += $line * $features[$i];
        }

        return $sum;
    }

    private static function sigmoid(float $z): float
    {
        return $z >= 0 ? 1 / (1 + exp(-$z)) : exp($z) / (1 + exp($z));
    }
}
