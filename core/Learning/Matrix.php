<?php

declare(strict_types=1);

namespace Luftig\Core\Learning;

use LogicException;

/** A symmetric positive definite matrix, taken apart once (Cholesky) and then asked for solutions. */
final readonly class Matrix
{
    /** @param  list<list<float>>  $lower  L of A = L·Lᵀ */
    private function __construct(private array $lower)
    {
    }

    /** @param  list<list<float>>  $rows */
    public static function of(array $rows): self
    {
        $lower = [];
        foreach ($rows as $i => $row) {
            $own = [];
            for ($j = 0; $j <= $i; $j++) {
                $sum = $row[$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $own[$k] * ($i === $j ? $own[$k] : $lower[$j][$k]);
                }
                if ($i === $j && $sum <= 0) {
                    throw new LogicException('A matrix of curvatures is positive definite.');
                }
                $own[] = $i === $j ? sqrt($sum) : $sum / $lower[$j][$j];
            }
            $lower[] = $own;
        }

        return new self($lower);
    }

    /**
     * @param  list<float>  $b
     * @return list<float> x of A·x = b
     */
    public function solve(array $b): array
    {
        $n = count($this->lower);
        $y = [];
        for ($i = 0; $i < $n; $i++) {
            $sum = $b[$i];
            for ($k = 0; $k < $i; $k++) {
                $sum -= $this->lower[$i][$k] * $y[$k];
            }
            $y[$i] = $sum / $this->lower[$i][$i];
        }
        $x = array_fill(0, $n, 0.0);
        for ($i = $n - 1; $i >= 0; $i--) {
            $sum = $y[$i];
            for ($k = $i + 1; $k < $n; $k++) {
                $sum -= $this->lower[$k][$i] * $x[$k];
            }
            $x[$i] = $sum / $this->lower[$i][$i];
        }

        return array_values($x);
    }

    public function logDeterminant(): float
    {
        $sum = 0.0;
        foreach ($this->lower as $i => $row) {
            $sum += 2 * log($row[$i]);
        }

        return $sum;
    }

    /** @return list<float> the diagonal of the inverse */
    public function inverseDiagonal(): array
    {
        $n = count($this->lower);
        $diagonal = [];
        for ($i = 0; $i < $n; $i++) {
            $unit = array_fill(0, $n, 0.0);
            $unit[$i] = 1.0;
            $diagonal[] = $this->solve(array_values($unit))[$i];
        }

        return $diagonal;
    }
}
