<?php

declare(strict_types=1);

namespace App\Support;

/** A value of JSON as a cell of a file would say it: lists are joined. */
final class Cell
{
    public static function of(mixed $value): string
    {
        return match (true) {
            is_array($value) => implode('; ', array_filter($value, is_scalar(...))),
            is_bool($value) => $value ? 'yes' : 'no',
            default => is_scalar($value) ? (string) $value : '',
        };
    }
}
