<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;

/** Whether a condition holds of a single record, asked without an index: to say for which one somebody was found. */
final class Holds
{
    /** @param  int  $today  days since 1970-01-01 */
    public static function of(Condition $condition, Record $record, int $today): bool
    {
        $field = $condition->field;

        return match ($field->test()) {
            Comparison::Any => array_intersect(
                array_map($field->spelled(...), $condition->any),
                array_map($field->spelled(...), $record->values[$condition->key] ?? []),
            ) !== [],
            Comparison::Range => self::isWithin($condition, $record->numbers[$condition->key] ?? null, $today),
            Comparison::Query => isset($record->texts[$field->value])
                && $condition->query?->matchesLine($record->texts[$field->value]) === true,
            default => false,
        };
    }

    private static function isWithin(Condition $condition, float|int|null $number, int $today): bool
    {
        if ($number === null) {
            return false;
        }
        $is = $condition->field->countsBack() ? $today - $number : $number;

        return ($condition->low === null || $is >= $condition->low)
            && ($condition->high === null || $is <= $condition->high);
    }
}
