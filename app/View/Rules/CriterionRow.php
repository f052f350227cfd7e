<?php

declare(strict_types=1);

namespace App\View\Rules;

/** A stored criterion as the fields of a form. */
final class CriterionRow
{
    /**
     * @param  array<string, mixed>  $criterion
     * @return array<string, scalar|null>
     */
    public static function of(array $criterion): array
    {
        $row = ['name' => $criterion['name'], 'field' => $criterion['field'], 'mode' => $criterion['mode'], 'weight' => $criterion['weight'] ?? null];

        return $row + match (true) {
            isset($criterion['range']) => ['low' => self::number($criterion['range'][0]), 'high' => self::number($criterion['range'][1])],
            isset($criterion['any']) => ['value' => implode(', ', $criterion['any'])],
            isset($criterion['within']) => ['value' => implode(', ', $criterion['within']['of']), 'low' => self::number($criterion['within']['km'])],
            default => ['value' => $criterion['query']],
        };
    }

    private static function number(float|int|null $value): ?string
    {
        return $value === null ? null : (string) $value;
    }
}
