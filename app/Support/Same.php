<?php

declare(strict_types=1);

namespace App\Support;

/** Whether a value is what the database holds, which gives numbers as texts and the keys of JSON in its own order. */
final class Same
{
    public static function value(mixed $one, mixed $other): bool
    {
        return match (true) {
            is_array($one) && is_array($other) => self::array($one, $other),
            is_string($one) && is_string($other) => $one === $other,
            is_numeric($one) && is_numeric($other) => self::number((float) $one, (float) $other),
            is_bool($one) || is_bool($other) => (bool) $one === (bool) $other,
            $one === null || $other === null => ($one ?? '') === ($other ?? ''),
            default => $one === $other,
        };
    }

    public static function json(string $one, string $other): bool
    {
        return self::value(json_decode($one, true), json_decode($other, true));
    }

    /** A base keeps fourteen digits of a number. */
    private static function number(float $one, float $other): bool
    {
        return abs($one - $other) <= 1e-12 * max(abs($one), abs($other));
    }

    /**
     * @param  array<mixed>  $one
     * @param  array<mixed>  $other
     */
    private static function array(array $one, array $other): bool
    {
        if (array_diff_key($one, $other) !== [] || array_diff_key($other, $one) !== []) {
            return false;
        }
        foreach ($one as $key => $value) {
            if (! self::value($value, $other[$key])) {
                return false;
            }
        }

        return true;
    }
}
