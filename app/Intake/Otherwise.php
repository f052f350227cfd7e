<?php

declare(strict_types=1);

namespace App\Intake;

/** What a later row of a file says otherwise than a row before it did: that is for somebody to decide. It may add. */
final class Otherwise
{
    /** Where a fact is from is no fact of its own: the first row that told it is named. */
    private const ASIDE = ['source'];

    /**
     * What a record would change, of a later row without what only tells where it is from.
     *
     * @param  array<string, mixed>  $record
     * @param  array<string, mixed>  $after
     * @return array<string, mixed>
     */
    public static function without(array $record, array $after): array
    {
        return ($record['is_later'] ?? false) === true ? array_diff_key($after, array_flip(self::ASIDE)) : $after;
    }

    /**
     * @param  array<string, mixed>  $record
     * @param  array<string, mixed>  $after  what it would change
     * @param  array<string, mixed>  $there  as it is
     */
    public static function says(array $record, array $after, array $there): ?string
    {
        $fields = array_keys(array_filter(
            $after,
            fn (string $field): bool => ($there[$field] ?? null) !== null,
            ARRAY_FILTER_USE_KEY,
        ));

        return ($record['is_later'] ?? false) !== true || $fields === []
            ? null
            : 'A row before it says otherwise: '.str_replace('_', ' ', implode(', ', $fields)).'.';
    }
}
